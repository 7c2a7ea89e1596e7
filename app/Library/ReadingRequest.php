<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Form;
use OpenApi\Attributes as OA;

/** How far a page was read. */
#[
    OA\Schema(
        schema: 'ReadSoFar',
        required: ['step', 'finished', 'reader', 'turn'],
        properties: [
            new OA\Property(property: 'step', type: 'integer', minimum: 0, maximum: 99, description: 'Of a lesson.'),
            new OA\Property(property: 'finished', type: 'boolean', description: 'To its end; it stays so.'),
            new OA\Property(
                property: 'reader',
                type: 'string',
                minLength: 1,
                maxLength: 64,
                description: 'Of the page in a browser that tells it, by a name of its own.',
            ),
            new OA\Property(
                property: 'turn',
                type: 'integer',
                minimum: 0,
                maximum: 1_000_000,
                description: 'How many this reader has told before. The later wins, whichever arrives first.',
            ),
        ],
    ),
]
final class ReadingRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'step' => ['required', 'integer', 'between:0,99'],
            'finished' => ['required', 'boolean'],
            'reader' => ['required', 'string', 'max:64'],
            'turn' => ['required', 'integer', 'between:0,1000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => 'This page sent a place that the server does not understand. Reload the page and try again.'];
    }
}
