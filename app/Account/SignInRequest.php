<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'SignInRequest',
        required: ['email', 'password'],
        properties: [
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
            new OA\Property(property: 'remember', type: 'boolean'),
        ],
    ),
]
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
