<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Clock\Moment;
use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Progress\Evidence;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Result\RapidGuess;

/** What a candidate's answers tell of their ability: independent looks, rapid guesses left out. */
final class Looks
{
    /**
     * @param  array<int, int>  $places  topic at the top => its number, from 0
     * @param  int  $now  Unix milliseconds
     */
    public function of(Exam $exam, User $user, Syllabus $syllabus, array $places, int $now): Looked
    {
        $rows = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('outcomes.user_id', $user->id)
            ->where('outcomes.exam_id', $exam->id)
            ->where('outcomes.outcome', '!=', Outcome::NotReached->value)
            ->orderBy('outcomes.question_id')
            ->orderBy('outcomes.settled_ms')
            ->select([
                'outcomes.question_id', 'outcomes.outcome', 'outcomes.share', 'outcomes.counts', 'outcomes.active_ms',
                'outcomes.cohort_ms', 'outcomes.settled_ms', 'outcomes.answered_ms', 'questions.topic_id',
                'questions.b', 'questions.luck',
            ]);
        $responses = $at = $moments = [];
        foreach (self::byQuestion($rows->cursor()) as $looks) {
            foreach ($looks as $look) {
                if ($look->answered_ms !== null) {
                    $moments[] = (int) $look->answered_ms;
                }
            }
            $days = array_map(fn (stdClass $look): float => (int) $look->settled_ms / Moment::MS_PER_DAY, $looks);
            foreach (Evidence::independent($days) as $i) {
                if (self::tells($looks[$i])) {
                    $answered = $looks[$i]->answered_ms;
                    $at[] = $answered === null ? null : (int) $answered;
                    $responses[] = new Response(
                        topic: $places[$syllabus->topOf((int) $looks[$i]->topic_id)->id],
                        b: (float) $looks[$i]->b,
                        c: (float) $looks[$i]->luck,
                        x: (float) $looks[$i]->share,
                        w: Evidence::weight($now / Moment::MS_PER_DAY - $days[$i]),
                    );
                }
            }
        }

        return new Looked(responses: $responses, at: $at, moments: $moments);
    }

    /**
     * @param  iterable<stdClass>  $looks  those at one question in a row
     * @return iterable<list<stdClass>>
     */
    private static function byQuestion(iterable $looks): iterable
    {
        $together = [];
        foreach ($looks as $look) {
            if ($together !== [] && $together[0]->question_id !== $look->question_id) {
                yield $together;
                $together = [];
            }
            $together[] = $look;
        }
        if ($together !== []) {
            yield $together;
        }
    }

    /** Whether a look says what one can do: not a rapid guess, not yet to be marked, nor left blank by who gave up. */
    private static function tells(stdClass $look): bool
    {
        if ($look->outcome === Outcome::LeftBlank->value) {
            return (bool) $look->counts;
        }

        return $look->share !== null && ! RapidGuess::is(
            (int) $look->active_ms,
            $look->cohort_ms === null ? null : (float) $look->cohort_ms,
        );
    }
}
