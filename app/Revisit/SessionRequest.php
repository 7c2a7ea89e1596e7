<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;

/** A session of revisits. */
final class SessionRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['count' => ['required', 'integer', 'between:1,100']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['count.*' => 'A session has 1 to 100 questions.'];
    }
}
