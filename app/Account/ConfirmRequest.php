<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rules\Password;

#[Says('token', 'From the letter.')]
final class ConfirmRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:4000'],
            'password' => ['required', 'string', 'max:200', Password::min(10), new UncommonPassword()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
