<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'DemoSignInRequest',
        required: ['person'],
        properties: [new OA\Property(property: 'person', type: 'string')],
    ),
]
final class DemoSignInRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'person' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }
}
