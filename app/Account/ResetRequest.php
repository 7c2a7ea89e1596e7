<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Validation\Rules\Password;

final class ResetRequest extends AddressForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:255'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:200', Password::min(10), new UncommonPassword($this->own())],
        ];
    }

    /** @return list<string> made before anything is known to be a string */
    private function own(): array
    {
        $typed = $this->input('email');

        return is_string($typed) ? [$typed] : [];
    }
}
