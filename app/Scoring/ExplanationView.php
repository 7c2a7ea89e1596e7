<?php

declare(strict_types=1);

namespace App\Scoring;

use App\Handbook\SectionLinkView;
use App\Sitting\QuestionView;
use App\Sitting\UnitView;
use OpenApi\Attributes as OA;

/** A question with its key and every reason: only for a sitting that may see it. */
#[OA\Schema(schema: 'Explanation')]
final readonly class ExplanationView
{
    /**
     * @param  list<SectionLinkView>  $references
     */
    public function __construct(
        #[OA\Property(ref: QuestionView::class)] public QuestionView $question,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $response,
        #[OA\Property(enum: ['right', 'partly', 'missed', 'left_blank', 'pending'])] public string $outcome,
        #[OA\Property] public string $marks,
        #[OA\Property(ref: AnswerView::class)] public AnswerView $answer,
        #[OA\Property(ref: UnitView::class, nullable: true)] public ?UnitView $unit,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'Criterion id: points the candidate gave; null: not marked yet.')] public ?object $rubricMarks,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'Id of an option, row, item or gap: why. Markdown.')] public object $why,
        #[OA\Property(description: 'Markdown.')] public string $rationale,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SectionLinkView::class), description: 'Where the handbook tells more.')] public array $references,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property] public string $difficulty,
        #[OA\Property] public int $activeMs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Options that had been ruled out.')] public array $struck,
    ) {
    }
}
