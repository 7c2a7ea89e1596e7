<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;

final class DeleteAccountRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current_password' => ['required', 'string', 'max:500', new PresentPassword($this)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
