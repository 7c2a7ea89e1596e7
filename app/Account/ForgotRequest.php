<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'ForgotRequest',
        required: ['email'],
        properties: [new OA\Property(property: 'email', type: 'string')],
    ),
]
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
