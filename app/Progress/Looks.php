<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Sitting\Exposure;
use App\Sitting\KeyGate;
use App\Sitting\RunningSitting;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Progress\Evidence;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Result\RapidGuess;

/** What a candidate's answers tell of their ability: independent looks, rapid guesses left out. */
final readonly class Looks
{
    public function __construct(private KeyGate $gate)
    {
    }

    /**
     * @param  array<int, int>  $places  topic at the top => its number, from 0
     * @param  int  $now  Unix milliseconds
     */
    public function of(Candidacy $candidacy, array $places, int $now): ReadAnswers
    {
        $rows = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.exam_id', $candidacy->exam->id)
            ->where('outcomes.outcome', '!=', Outcome::NotReached->value)
            ->orderBy('outcomes.question_id')
            ->orderBy('outcomes.settled_ms')
            ->select([
                'outcomes.question_id', 'outcomes.sitting_id', 'outcomes.outcome', 'outcomes.share',
                'outcomes.counts', 'outcomes.active_ms', 'outcomes.cohort_ms', 'outcomes.settled_ms',
                'outcomes.answered_ms', 'questions.topic_id', 'questions.b', 'questions.luck',
            ]);
        $exposed = $this->exposed($candidacy);
        $responses = $at = $moments = [];
        $held = $this->gate->covered($candidacy->user->id);
        foreach (self::byQuestion($rows->cursor()) as $looks) {
            $looks = self::told($looks, $held[(int) $looks[0]->question_id] ?? null);
            if ($looks === []) {
                continue;
            }
            foreach ($looks as $look) {
                if ($look->answered_ms !== null) {
                    $moments[] = (int) $look->answered_ms;
                }
            }
            $looks = self::amid($exposed[(int) $looks[0]->question_id] ?? [], $looks);
            $days = array_map(fn (stdClass $look): float => (int) $look->settled_ms / Moment::MS_PER_DAY, $looks);
            foreach (Evidence::independent($days) as $i) {
                if (isset($looks[$i]->question_id) && self::tells($looks[$i])) {
                    $answered = $looks[$i]->answered_ms;
                    $at[] = $answered === null ? null : (int) $answered;
                    $responses[] = new Response(
                        topic: $places[$candidacy->syllabus()->topOf((int) $looks[$i]->topic_id)->id],
                        b: (float) $looks[$i]->b,
                        c: (float) $looks[$i]->luck,
                        x: (float) $looks[$i]->share,
                        w: Evidence::weight($now / Moment::MS_PER_DAY - $days[$i]),
                    );
                }
            }
        }

        return new ReadAnswers(responses: $responses, at: $at, moments: $moments);
    }

    /** @return array<int, list<stdClass>> of which questions the key was shown, by question */
    private function exposed(Candidacy $candidacy): array
    {
        $exposed = [];
        $rows = DB::table('exposures')
            ->where($candidacy->key())
            ->get(['question_id', 'sitting_id', 'how', 'at_ms']);
        foreach ($rows as $row) {
            $exposed[(int) $row->question_id][] = $row;
        }

        return $exposed;
    }

    /**
     * Puts the moments in which a key was shown among the looks at its question: an answer after one is not
     * independent of it. What was taken along to be shown with the answers of a sitting is no moment of that sitting.
     *
     * @param  list<stdClass>  $exposures
     * @param  list<stdClass>  $looks
     * @return list<stdClass> in order of time; those that are none have no question
     */
    private static function amid(array $exposures, array $looks): array
    {
        foreach ($exposures as $one) {
            $own = $one->how === Exposure::TakenAlong->value &&
                in_array($one->sitting_id, array_column($looks, 'sitting_id'), true);
            if (! $own) {
                $looks[] = (object) ['settled_ms' => (int) $one->at_ms];
            }
        }
        usort($looks, fn (stdClass $a, stdClass $b): int => (int) $a->settled_ms <=> (int) $b->settled_ms);

        return $looks;
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

    /**
     * What is made of the others would tell what came of an answer to a question that a running clock still asks.
     *
     * @param  list<stdClass>  $looks  at one question
     * @param  RunningSitting|null  $asking  what still asks it
     * @return list<stdClass> those that were settled before
     */
    private static function told(array $looks, ?RunningSitting $asking): array
    {
        return $asking === null
            ? $looks
            : array_values(
                array_filter($looks, fn (stdClass $look): bool => ! $asking->withholds((int) $look->settled_ms)),
            );
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
