<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Form;
use OpenApi\Attributes as OA;

/** How far a page was read. */
#[
    OA\Schema(
        schema: 'ReadSoFar',
        required: ['step', 'finished'],
        properties: [
            new OA\Property(property: 'step', type: 'integer', minimum: 0, maximum: 99, description: 'Of a lesson.'),
            new OA\Property(property: 'finished', type: 'boolean', description: 'To its end; it stays so.'),
        ],
    ),
]
final class ReadingRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['step' => ['required', 'integer', 'between:0,99'], 'finished' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => 'This page sent a place that the server does not understand. Reload the page and try again.'];
    }
}
