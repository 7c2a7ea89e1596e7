<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Cause;

/** What is said of a question in the gap book: each part only where it is sent. */
#[
    OA\Schema(
        schema: 'Gap',
        required: [],
        properties: [
            new OA\Property(property: 'cause', type: 'string', nullable: true, enum: Cause::class),
            new OA\Property(property: 'inBook', type: 'boolean', description: 'Put in, else taken out.'),
        ],
    ),
]
final class GapRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'cause' => ['sometimes', 'nullable', 'string', Rule::enum(Cause::class)],
            'inBook' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['cause' => 'Choose one of the causes.'];
    }

    public function saysCause(): bool
    {
        return $this->exists('cause');
    }

    public function cause(): ?Cause
    {
        return $this->enum('cause', Cause::class);
    }

    public function into(): ?bool
    {
        return $this->exists('inBook') ? $this->boolean('inBook') : null;
    }
}
