<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;
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
final class SignInRequest extends Form
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

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
