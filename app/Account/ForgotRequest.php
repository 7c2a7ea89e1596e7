<?php

declare(strict_types=1);

namespace App\Account;

final class ForgotRequest extends AddressForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:255'],
        ];
    }
}
