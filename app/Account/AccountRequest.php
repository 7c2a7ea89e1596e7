<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;

final class AccountRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new PersonName()],
            'extraTime' => ['required', 'in:1,1.25,1.5,2'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
