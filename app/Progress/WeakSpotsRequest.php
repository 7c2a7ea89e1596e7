<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Form;

/** How many questions a test of one's weak spots has. */
final class WeakSpotsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['count' => ['required', 'integer', 'min:1', 'max:500']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['count.*' => 'Say how many questions you want, as a whole number from 1 to 500.'];
    }
}
