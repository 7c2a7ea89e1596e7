<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'AccountRequest',
        required: ['name', 'extraTime'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'extraTime', type: 'string', enum: ['1', '1.25', '1.5', '2']),
        ],
    ),
]
final class AccountRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new PersonName()],
            'extraTime' => ['required', 'in:1,1.25,1.5,2'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
