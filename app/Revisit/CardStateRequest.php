<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;

/** Whether a card stays away. */
final class CardStateRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['suspended' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['suspended.*' => 'Say whether the card shall stay away.'];
    }
}
