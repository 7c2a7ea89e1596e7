<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;

/** The code of a shared test. */
final class JoinRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:60']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.required' => 'Type the code that you were given.', 'code.max' => 'A code has eight signs.'];
    }
}
