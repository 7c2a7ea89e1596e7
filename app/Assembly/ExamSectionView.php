<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Shown;

/** A section of the real exam. */
#[OA\Schema(schema: 'ExamSection')]
final readonly class ExamSectionView
{
    /**
     * @param  list<string>  $kinds
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $questions,
        #[OA\Property(description: 'Exact, as a decimal.')] public string $marksEach,
        #[OA\Property] public string $marks,
        #[
            OA\Property(
                description: 'Share of its marks that a wrong answer costs, exact; null: nothing.',
                nullable: true,
            ),
        ]
        public ?string $penalty,
        #[OA\Property(description: 'Of its own, or its share of the whole by marks.')] public int $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: Kind::class))] public array $kinds,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'integer'),
                description: 'How many cases, passage sets and series.',
            ),
        ]
        public object $units,
    ) {
    }

    /** @return list<self> in the order of the blueprint */
    public static function allOf(Blueprint $blueprint): array
    {
        return array_map(
            fn (Section $section): self => new self(
                code: $section->code,
                name: $section->name,
                questions: $section->questions,
                marksEach: Shown::decimal($section->scheme->marks),
                marks: Shown::decimal($section->possible()),
                penalty: $section->scheme->penalty->getSign() === 0 ? null : (string) $section->scheme->penalty,
                minutes: $blueprint->only($section->code)->minutes,
                kinds: array_column($section->kinds, 'value'),
                units: (object) $section->units,
            ),
            $blueprint->sections,
        );
    }
}
