<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use OpenApi\Attributes as OA;

/** Whether a sitting may be compared. */
#[
    OA\Schema(
        schema: 'Agreement',
        required: ['agrees'],
        properties: [new OA\Property(property: 'agrees', type: 'boolean')],
    ),
]
final class AgreementRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['agrees' => ['required', 'boolean']];
    }
}
