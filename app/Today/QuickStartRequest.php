<?php

declare(strict_types=1);

namespace App\Today;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Something to begin without choosing anything. */
#[
    OA\Schema(
        schema: 'QuickStartWanted',
        required: ['start'],
        properties: [new OA\Property(property: 'start', type: 'string', enum: QuickStart::class)],
    ),
]
final class QuickStartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['start' => ['required', 'string', Rule::enum(QuickStart::class)]];
    }
}
