<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Result\KeepsStandings;
use App\Sitting\Exposure;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Revisit\Encounter;
use Uplandia\Core\Revisit\GapMove;
use Uplandia\Core\Revisit\RevisitWord;
use Uplandia\Core\Revisit\Standing;
use Uplandia\Core\Sitting\Sureness;

/**
 * A candidate's standings, made again from their outcomes whenever those change. What was marked by hand (a star, a
 * note)
 * stands beside and stays.
 */
final class Standings implements KeepsStandings
{
    /** What the outcomes have a say in. */
    public const COLUMNS = [
        'topic_id',
        'outcome',
        'flagged',
        'false_footing',
        'gap_open',
        'misses',
        'due_day',
        'seen',
        'seen_ms',
        'gap',
        'gap_day',
        'stability',
        'remembered_day',
    ];

    private const UNMET = [
        'outcome' => null,
        'flagged' => false,
        'false_footing' => false,
        'gap_open' => false,
        'misses' => 0,
        'due_day' => null,
        'seen' => 0,
        'seen_ms' => null,
        'gap' => null,
        'gap_day' => null,
        'stability' => null,
        'remembered_day' => null,
    ];

    public function renew(int $user, int $exam, array $questions): void
    {
        foreach (array_chunk($questions, 200) as $chunk) {
            $rows = $this->project($user, $exam, $chunk);
            foreach (array_chunk(array_values($rows), 50) as $part) {
                DB::table('standings')->upsert($part, ['user_id', 'question_id'], self::COLUMNS);
            }
            $this->tellOfChange($user, $exam);
            $unmet = array_diff($chunk, array_keys($rows));
            if ($unmet !== []) {
                DB::table('standings')->where('user_id', $user)->whereIn('question_id', $unmet)->update(self::UNMET);
            }
        }
    }

    /** What was estimated from the outcomes is of before. */
    private function tellOfChange(int $user, int $exam): void
    {
        DB::table('kept_estimates')->upsert(
            ['user_id' => $user, 'exam_id' => $exam, 'evidence' => 1],
            ['user_id', 'exam_id'],
            ['evidence' => DB::raw('kept_estimates.evidence + 1')],
        );
    }

    /**
     * What the outcomes come to. Writes nothing.
     *
     * @param  list<int>  $questions
     * @return array<int, array<string, mixed>> rows by question id, of those that were met
     */
    public function project(int $user, int $exam, array $questions): array
    {
        $outcomes = DB::table('outcomes')
            ->where('outcomes.user_id', $user)
            ->whereIn('outcomes.question_id', $questions)
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->orderBy('settled_ms')
            ->orderBy('sitting_id')
            ->orderBy('position')
            ->get([
                'outcomes.question_id',
                'questions.topic_id',
                'outcome',
                'sureness',
                'flagged',
                'active_ms',
                'cohort_ms',
                'settled_ms',
                'day',
            ]);
        $moves = $this->moves($user, $questions);
        $words = $this->words($user, $questions);
        $met = $topics = $rows = [];
        foreach ($this->shown($user, $questions) as $row) {
            $met[(int) $row->question_id][] = self::glimpse($row);
            $topics[(int) $row->question_id] = (int) $row->topic_id;
        }
        foreach ($outcomes as $row) {
            $met[(int) $row->question_id][] = $this->encounter($row);
            $topics[(int) $row->question_id] = (int) $row->topic_id;
        }
        foreach ($met as $question => $encounters) {
            $row = self::row(
                user: $user,
                exam: $exam,
                question: $question,
                topic: $topics[$question],
                met: $encounters,
                move: $moves[$question] ?? null,
                word: $words[$question] ?? null,
            );
            $rows += $row === null ? [] : [$question => $row];
        }

        return $rows;
    }

    /**
     * @param  list<Encounter>  $met  every time the candidate met the question, in order
     * @param  GapMove|null  $move  their latest word on the gap book
     * @param  RevisitWord|null  $word  and on when it should come back
     * @return array<string, mixed>|null null: it is new
     */
    public static function row(
        int $user,
        int $exam,
        int $question,
        int $topic,
        array $met,
        ?GapMove $move = null,
        ?RevisitWord $word = null,
    ): ?array {
        $standing = Standing::after($met, $move, $word);

        return $standing === null
            ? null
            : [
                'user_id' => $user,
                'question_id' => $question,
                'exam_id' => $exam,
                'topic_id' => $topic,
                'outcome' => $standing->outcome->value,
                'flagged' => $standing->flagged,
                'false_footing' => $standing->falseFooting,
                'gap_open' => $standing->gapOpen,
                'misses' => $standing->misses,
                'due_day' => $standing->dueDay,
                'seen' => $standing->seen,
                'seen_ms' => $standing->seenAt,
                'gap' => $standing->gap?->value,
                'gap_day' => $standing->gapDay,
                // A database keeps fourteen digits of a number; so many are known of nobody's memory.
                'stability' => $standing->memory === null ? null : round($standing->memory->stability, 6),
                'remembered_day' => $standing->rememberedDay,
            ];
    }

    /**
     * @param  list<int>  $questions
     * @return array<int, GapMove> by question
     */
    private function moves(int $user, array $questions): array
    {
        $rows = DB::table('gap_entries')
            ->where('user_id', $user)
            ->whereIn('question_id', $questions)
            ->whereNotNull('moved_ms')
            ->get(['question_id', 'moved_ms', 'moved_day', 'into']);
        $moves = [];
        foreach ($rows as $row) {
            $moves[(int) $row->question_id] = new GapMove(
                at: (int) $row->moved_ms,
                day: (int) $row->moved_day,
                into: (bool) $row->into,
            );
        }

        return $moves;
    }

    /**
     * @param  list<int>  $questions
     * @return array<int, RevisitWord> by question
     */
    private function words(int $user, array $questions): array
    {
        $words = [];
        $rows = DB::table('revisit_words')->where('user_id', $user)->whereIn('question_id', $questions)->get();
        foreach ($rows as $row) {
            $words[(int) $row->question_id] = new RevisitWord(
                at: (int) $row->said_ms,
                suspended: (bool) $row->suspended,
                until: $row->until_day === null ? null : (int) $row->until_day,
            );
        }

        return $words;
    }

    /**
     * Of which questions the candidate asked to see the key without having answered: the first time of each.
     *
     * @param  list<int>  $questions
     * @return iterable<stdClass>
     */
    private function shown(int $user, array $questions): iterable
    {
        return DB::table('exposures')
            ->join('questions', 'questions.id', '=', 'exposures.question_id')
            ->where('exposures.user_id', $user)
            ->where('how', Exposure::Shown->value)
            ->whereIn('question_id', $questions)
            ->groupBy('question_id', 'questions.topic_id')
            ->get(['question_id', 'questions.topic_id', DB::raw('min(at_ms) as at_ms'), DB::raw('min(day) as day')]);
    }

    /** To have seen the answer before any of one's own is as good as leaving the question blank. */
    private static function glimpse(stdClass $row): Encounter
    {
        return new Encounter(at: (int) $row->at_ms, day: (int) $row->day, outcome: Outcome::LeftBlank, glimpse: true);
    }

    private function encounter(stdClass $row): Encounter
    {
        return new Encounter(
            at: (int) $row->settled_ms,
            day: (int) $row->day,
            outcome: Outcome::from((string) $row->outcome),
            sureness: $row->sureness === null ? null : Sureness::from((string) $row->sureness),
            flagged: (bool) $row->flagged,
            ms: (int) $row->active_ms,
            medianMs: $row->cohort_ms === null ? null : (float) $row->cohort_ms,
        );
    }
}
