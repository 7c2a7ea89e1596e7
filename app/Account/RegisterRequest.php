<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'RegisterRequest',
        required: ['name', 'email'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string'),
        ],
    ),
]
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
