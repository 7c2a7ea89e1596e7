<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** What the real exam is. */
#[OA\Schema(schema: 'Exam')]
final readonly class ExamView
{
    /**
     * @param  list<ExamSectionView>  $sections
     * @param  list<ExamTopicView>  $topics
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $name,
        #[OA\Property] public string $summary,
        #[OA\Property] public int $minutes,
        #[OA\Property] public int $readingMinutes,
        #[
            OA\Property(description: 'Name of a section; null: there is no break.', nullable: true),
        ]
        public ?string $breakAfter,
        #[OA\Property] public int $breakMinutes,
        #[OA\Property] public bool $pausable,
        #[OA\Property(description: 'In per cent.')] public string $cut,
        #[OA\Property] public int $scaleLow,
        #[OA\Property] public int $scaleHigh,
        #[OA\Property] public int $scaleCut,
        #[OA\Property] public int $questions,
        #[OA\Property] public string $marks,
        #[OA\Property(description: 'Questions in the bank.')] public int $bank,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamSectionView::class))] public array $sections,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamTopicView::class))] public array $topics,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'integer'),
                description: 'Questions in the bank by kind.',
            ),
        ]
        public object $kinds,
    ) {
    }
}
