<?php

declare(strict_types=1);

namespace App\Account;

final class SignInRequest extends AddressForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:255'],
            'password' => ['required', 'string', 'max:500'],
            'remember' => ['boolean'],
        ];
    }
}
