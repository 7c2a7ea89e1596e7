<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\PlainExcerpt;
use OpenApi\Attributes as OA;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Result\Change;
use Uplandia\Core\Result\Footing;
use Uplandia\Core\Result\Tempo;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\Sureness;

/** A question of a handed-in sitting in one line. */
#[OA\Schema(schema: 'QuestionLine')]
final readonly class QuestionLineView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(enum: Difficulty::class)] public Difficulty $difficulty,
        #[OA\Property(enum: Kind::class)] public Kind $kind,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
        #[OA\Property] public string $marks,
        #[OA\Property] public string $possible,
        #[OA\Property(description: 'On screen while the sitting was active.')] public int $activeMs,
        #[OA\Property(nullable: true, description: 'The cohort\'s median then.')] public ?int $cohortMs,
        #[
            OA\Property(
                nullable: true,
                description: 'Mean credit of those who met it for the first time; null: too few did.',
            ),
        ]
        public ?float $facility,
        #[OA\Property(enum: Sureness::class, nullable: true)] public ?Sureness $sureness,
        #[
            OA\Property(
                enum: Footing::class,
                nullable: true,
                description: 'Null for what is neither, and for what came too fast to have been read.',
            ),
        ]
        public ?Footing $footing,
        #[OA\Property(enum: Tempo::class, nullable: true, description: 'Against the cohort.')] public ?Tempo $tempo,
        #[OA\Property(enum: Change::class, nullable: true)] public ?Change $change,
        #[OA\Property(description: 'How often the answer was changed.')] public int $changes,
        #[OA\Property(description: 'Before the key was shown, in tutor mode; 0 elsewhere.')] public int $tries,
        #[OA\Property(description: 'Options ruled out.')] public int $ruledOut,
        #[OA\Property(description: 'The right one among them.')] public bool $keyRuledOut,
        #[OA\Property(description: 'Faster than it can be read.')] public bool $rapid,
        #[OA\Property] public bool $flagged,
        #[OA\Property] public bool $starred,
        #[OA\Property] public bool $noted,
        #[OA\Property(enum: Cause::class, nullable: true, description: 'As the candidate says.')]
        public ?Cause $cause,
        #[OA\Property(description: 'It stands in the gap book and has not closed.')] public bool $inGapBook,
    ) {
    }

    /** @param  int  $tries  before the key was shown */
    public static function of(SatQuestion $sat, int $tries): self
    {
        $result = $sat->result;
        $row = $sat->row;
        $rapid = $result->isRapidGuess();
        $outcome = $result->credit->outcome;

        return new self(
            position: $result->position,
            excerpt: PlainExcerpt::of($sat->stem()),
            topic: $sat->topic,
            subtopic: $sat->subtopic,
            difficulty: Difficulty::from((string) $row->difficulty),
            kind: Kind::from((string) $row->kind),
            outcome: $outcome,
            marks: Shown::decimal($result->scheme->marksFor($result->credit)),
            possible: Shown::decimal($result->scheme->marks),
            activeMs: $result->ms,
            cohortMs: $row->cohort_ms === null ? null : (int) $row->cohort_ms,
            facility: $row->facility === null || (int) $row->cohort_n < ItemStatistics::SHOWN_FROM
                ? null
                : (float) $row->facility,
            sureness: $result->sureness,
            footing: $rapid ? null : Footing::of($result->sureness, $outcome),
            tempo: $outcome === Outcome::NotReached ? null : Tempo::of($result->ms, $result->cohortMedianMs),
            change: Change::of($result),
            changes: $result->changes,
            tries: $tries,
            ruledOut: count($result->ruledOut()),
            keyRuledOut: $result->ruledOutKey(),
            rapid: $rapid,
            flagged: (bool) $row->flagged,
            starred: (bool) $row->starred,
            noted: (bool) $row->noted,
            cause: $row->cause === null ? null : Cause::from((string) $row->cause),
            inGapBook: (bool) $row->gap_open,
        );
    }
}
