<?php

declare(strict_types=1);

namespace App\Account;

final class RegisterRequest extends AddressForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new PersonName()],
            'email' => ['required', 'string', 'email', 'max:255'],
        ];
    }
}
