<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Revisit\GapState;

/** Which gaps to list, or to drill. */
#[
    OA\Schema(
        schema: 'GapsWanted',
        required: ['page'],
        properties: [
            new OA\Property(property: 'topic', type: 'string', nullable: true, description: 'Code of one at the top.'),
            new OA\Property(property: 'cause', type: 'string', nullable: true, description: 'A cause, or "none".'),
            new OA\Property(property: 'section', type: 'string', nullable: true, description: 'Code of a section.'),
            new OA\Property(
                property: 'state',
                type: 'string',
                nullable: true,
                enum: GapState::class,
                description: 'Null: those that have not closed.',
            ),
            new OA\Property(property: 'page', type: 'integer', description: 'From 1.'),
        ],
    ),
]
final class GapsRequest extends Form
{
    public const NO_CAUSE = 'none';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $causes = [...array_column(Cause::cases(), 'value'), self::NO_CAUSE];

        return [
            'topic' => ['nullable', 'string', 'max:100'],
            'cause' => ['nullable', 'string', Rule::in($causes)],
            'section' => ['nullable', 'string', 'max:100'],
            'state' => ['nullable', 'string', Rule::enum(GapState::class)],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cause.*' => 'There is no such cause.',
            'state.*' => 'A gap is open, closing or closed.',
            'page.*' => 'There is no such page.',
        ];
    }

    public function wanted(): GapsWanted
    {
        $text = fn (string $name): ?string => $this->input($name) === null ? null : $this->string($name)->value();

        return new GapsWanted(
            topic: $text('topic'),
            cause: $text('cause'),
            section: $text('section'),
            state: $this->enum('state', GapState::class),
        );
    }
}
