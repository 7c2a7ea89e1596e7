<?php

declare(strict_types=1);

namespace App\Result;

use App\Handbook\SectionLinkView;
use App\Http\Contract\MapOf;
use App\Question\QuestionView;
use App\Question\UnitView;
use App\Sitting\TryView;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;

/** A question with its key and every reason: only for a sitting that may see it. */
final readonly class ExplanationView
{
    /**
     * @param  list<PartView>  $parts
     * @param  string|null  $tolerance  How far off a number still counts.
     * @param  list<CriterionView>  $rubric  Of a written answer.
     * @param  object|null  $rubricMarks  Criterion id: points the candidate gave; null: not marked yet.
     * @param  string|null  $model  A model answer. Markdown.
     * @param  list<string>  $evidence  Sentences of the passage that prove it.
     * @param  string  $rationale  Markdown.
     * @param  list<SectionLinkView>  $references  Where the handbook tells more.
     * @param  list<EarlierLookView>  $earlier  The same question in earlier sittings, the latest first.
     * @param  list<TryView>  $tries  In this sitting, before the key was shown. The first one counts.
     */
    public function __construct(
        public QuestionView $question,
        #[MapOf('mixed')] public ?object $response,
        public Outcome $outcome,
        public string $marks,
        public array $parts,
        public ?string $tolerance,
        public array $rubric,
        #[MapOf('string')] public ?object $rubricMarks,
        public ?string $model,
        public ?UnitView $unit,
        public array $evidence,
        public string $rationale,
        public array $references,
        public string $exam,
        public string $topic,
        public string $subtopic,
        public Difficulty $difficulty,
        public int $activeMs,
        public ?CohortAnswersView $cohort,
        public array $earlier,
        public array $tries,
    ) {
    }
}
