<?php

declare(strict_types=1);

namespace App\Result;

use App\Handbook\SectionLinkView;
use App\Question\QuestionView;
use App\Question\UnitView;
use App\Sitting\TryView;
use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;

/** A question with its key and every reason: only for a sitting that may see it. */
#[OA\Schema(schema: 'Explanation')]
final readonly class ExplanationView
{
    /**
     * @param  list<PartView>  $parts
     * @param  list<CriterionView>  $rubric
     * @param  list<string>  $evidence
     * @param  list<SectionLinkView>  $references
     * @param  list<EarlierLookView>  $earlier
     * @param  list<TryView>  $tries
     */
    public function __construct(
        #[OA\Property(ref: QuestionView::class)] public QuestionView $question,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $response,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
        #[OA\Property] public string $marks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartView::class))] public array $parts,
        #[OA\Property(nullable: true, description: 'How far off a number still counts.')] public ?string $tolerance,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: CriterionView::class),
                description: 'Of a written answer.',
            ),
        ]
        public array $rubric,
        #[
            OA\Property(
                type: 'object',
                nullable: true,
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
                description: 'Criterion id: points the candidate gave; null: not marked yet.',
            ),
        ]
        public ?object $rubricMarks,
        #[OA\Property(nullable: true, description: 'A model answer. Markdown.')] public ?string $model,
        #[OA\Property(ref: UnitView::class, nullable: true)] public ?UnitView $unit,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'Sentences of the passage that prove it.',
            ),
        ]
        public array $evidence,
        #[OA\Property(description: 'Markdown.')] public string $rationale,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: SectionLinkView::class),
                description: 'Where the handbook tells more.',
            ),
        ]
        public array $references,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(enum: Difficulty::class)] public Difficulty $difficulty,
        #[OA\Property] public int $activeMs,
        #[OA\Property(ref: CohortAnswersView::class, nullable: true)] public ?CohortAnswersView $cohort,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: EarlierLookView::class),
                description: 'The same question in earlier sittings, the latest first.',
            ),
        ]
        public array $earlier,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: TryView::class),
                description: 'In this sitting, before the key was shown. The first one counts.',
            ),
        ]
        public array $tries,
    ) {
    }
}
