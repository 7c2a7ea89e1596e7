<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\PlainExcerpt;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Result\Change;
use Uplandia\Core\Result\Footing;
use Uplandia\Core\Result\OwnTempo;
use Uplandia\Core\Result\Tempo;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\Sureness;

/** A question of a handed-in sitting in one line. */
final readonly class QuestionLineView
{
    /**
     * @param  int  $question  Its number in the bank.
     * @param  string  $excerpt  The stem's beginning, without Markdown.
     * @param  int  $activeMs  On screen while the sitting was active.
     * @param  int|null  $cohortMs  The cohort's median then.
     * @param  float|null  $facility  Mean credit of those who met it for the first time; null: too few did.
     * @param  Footing|null  $footing  Null for what is neither, and for what came too fast to have been read.
     * @param  Tempo|null  $tempo  For this person: against the cohort, and against their own tempo.
     * @param  int  $changes  How often the answer was changed.
     * @param  int  $tries  Before the key was shown, in tutor mode; 0 elsewhere.
     * @param  bool  $closed  Before the end: by a later one of its series, by a break, or by its time.
     * @param  int  $ruledOut  Options ruled out.
     * @param  bool  $keyRuledOut  The right one among them.
     * @param  bool  $rapid  Faster than it can be read.
     * @param  Cause|null  $cause  As the candidate says.
     * @param  bool  $inGapBook  It stands in the gap book and has not closed.
     */
    public function __construct(
        public int $position,
        public int $question,
        public string $excerpt,
        public string $topic,
        public string $subtopic,
        public Difficulty $difficulty,
        public Kind $kind,
        public Outcome $outcome,
        public string $marks,
        public string $possible,
        public int $activeMs,
        public ?int $cohortMs,
        public ?float $facility,
        public ?Sureness $sureness,
        public ?Footing $footing,
        public ?Tempo $tempo,
        public ?Change $change,
        public int $changes,
        public int $tries,
        public bool $closed,
        public int $ruledOut,
        public bool $keyRuledOut,
        public bool $rapid,
        public bool $flagged,
        public bool $starred,
        public bool $noted,
        public ?Cause $cause,
        public bool $inGapBook,
    ) {
    }

    /** @param  QuestionState|null  $state  what was done to it; null: nothing beside what came of it */
    public static function of(SatQuestion $sat, ?QuestionState $state, OwnTempo $tempo): self
    {
        $result = $sat->result;
        $rapid = $result->isRapidGuess();
        $outcome = $result->credit->outcome;

        return new self(
            position: $result->position,
            question: $sat->questionId,
            excerpt: PlainExcerpt::of($sat->stem()),
            topic: $sat->topic,
            subtopic: $sat->subtopic,
            difficulty: $sat->difficulty,
            kind: $sat->kind,
            outcome: $outcome,
            marks: Shown::decimal($result->scheme->marksFor($result->credit)),
            possible: Shown::decimal($result->scheme->marks),
            activeMs: $result->ms,
            cohortMs: $result->cohortMedianMs === null ? null : (int) $result->cohortMedianMs,
            facility: $sat->facility,
            sureness: $result->sureness,
            footing: $rapid ? null : Footing::of($result->sureness, $outcome),
            tempo: $tempo->on($result),
            change: Change::of($result),
            changes: $result->changes,
            tries: count($state->tries ?? []),
            closed: $state->closed ?? false,
            ruledOut: count($result->ruledOut()),
            keyRuledOut: $result->ruledOutKey(),
            rapid: $rapid,
            flagged: $sat->flagged,
            starred: $sat->starred,
            noted: $sat->noted,
            cause: $sat->cause,
            inGapBook: $sat->inGapBook,
        );
    }
}
