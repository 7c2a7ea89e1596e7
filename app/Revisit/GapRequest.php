<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use OpenApi\Attributes as OA;

/** Whether a question belongs into the gap book, as its candidate says. */
#[
    OA\Schema(
        schema: 'Gap',
        required: ['inBook'],
        properties: [new OA\Property(property: 'inBook', type: 'boolean', description: 'Put in, else taken out.')],
    ),
]
final class GapRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['inBook' => ['required', 'boolean']];
    }
}
