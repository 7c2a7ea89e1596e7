<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;
use Illuminate\Validation\Rules\Password;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'PasswordRequest',
        required: ['current_password', 'password'],
        properties: [
            new OA\Property(property: 'current_password', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
        ],
    ),
]
final class PasswordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current_password' => ['required', 'string', 'max:500', 'current_password'],
            'password' => ['required', 'string', 'max:200', Password::min(10)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
