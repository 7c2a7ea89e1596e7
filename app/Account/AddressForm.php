<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;

/** A form with an e-mail address in it. */
abstract class AddressForm extends Form
{
    protected function prepareForValidation(): void
    {
        if (is_string($typed = $this->input('email'))) {
            $this->merge(['email' => Address::of($typed)]);
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
