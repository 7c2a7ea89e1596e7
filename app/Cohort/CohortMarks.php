<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Database\Recounts;
use App\Question\Exam;
use App\Sitting\HandedIn;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What each candidate's latest sitting of the whole exam came to, in all and by topic: kept, so that holding oneself
 * against very many costs little. In all it is the share of marks, by topic the mean credit.
 * Source: computation.md, section 10.
 */
final class CohortMarks implements Recounts
{
    /** The name of the whole exam among its topics. */
    public const WHOLE = '';

    /** Candidates in one piece, so that nobody who writes waits for long. */
    private const AT_ONCE = 500;

    /** @return int of how many candidates there is something */
    public function renew(Exam $exam): int
    {
        DB::table('cohort_marks')
            ->where('exam_id', $exam->id)
            ->whereNotIn('user_id', self::latest($exam)->select('sittings.user_id'))
            ->delete();
        $people = self::latest($exam)->orderBy('sittings.user_id')->pluck('sittings.user_id');
        foreach ($people->chunk(self::AT_ONCE) as $some) {
            DB::transaction(function () use ($exam, $some): void {
                $ids = $some->all();
                DB::table('cohort_marks')->where('exam_id', $exam->id)->whereIn('user_id', $ids)->delete();
                $latest = fn (): Builder => self::latest($exam)->whereIn('sittings.user_id', $ids);
                self::write(self::whole($latest()));
                self::write(self::byTopic($latest()));
            });
        }

        return $people->count();
    }

    public function leave(Exam $exam, int $user): void
    {
        DB::table('cohort_marks')->where('exam_id', $exam->id)->where('user_id', $user)->delete();
    }

    /**
     * What one's own latest sitting of the whole exam came to, whether one takes part or not.
     *
     * @return array{sitting: string, shares: array<string, float>}|null shares by topic; null: there is none
     */
    public function mine(Exam $exam, int $user): ?array
    {
        $latest = fn (): Builder => self::sat($exam, $user);
        $whole = self::whole($latest())->first();
        if ($whole === null) {
            return null;
        }
        $shares = [self::WHOLE => (float) $whole->share];
        foreach (self::byTopic($latest())->get() as $row) {
            $shares[(string) $row->topic] = (float) $row->share;
        }

        return ['sitting' => (string) $whole->sitting_id, 'shares' => $shares];
    }

    public function what(): string
    {
        return 'Places in the cohort';
    }

    /** @return iterable<string|null> for each row, how it differs from what its sitting came to; null: it does not */
    public function differences(?string $email): iterable
    {
        $rows = DB::table('cohort_marks')->orderBy('sitting_id')->get();
        foreach ($rows->groupBy('sitting_id') as $id => $of) {
            $sitting = fn (): Builder => DB::table('sittings')->where('sittings.id', $id);
            $made = self::whole($sitting())->get()
                ->concat(self::byTopic($sitting())->get())
                ->mapWithKeys(fn (object $row): array => [(string) $row->topic => (float) $row->share])
                ->all();
            foreach ($of as $row) {
                $differs = abs(($made[$row->topic] ?? -1.0) - (float) $row->share) > 1e-12;
                yield $differs ? "Sitting {$id}: its place in the cohort is not what it came to." : null;
            }
        }
    }

    /** The latest sitting of each who takes part. */
    private static function latest(Exam $exam): Builder
    {
        return Candidates::only(self::sat($exam), $exam->id, 'sittings.user_id');
    }

    /**
     * Whole papers and rehearsals, of each candidate the latest of which enough was answered.
     *
     * @param  int|null  $user  the only one to look at
     */
    private static function sat(Exam $exam, ?int $user = null): Builder
    {
        // Among others only what may count for others; of one's own, whatever it was.
        $latest = HandedIn::whole(HandedIn::only(DB::table('sittings')))
            ->where('sittings.exam_id', $exam->id)
            ->where('sittings.counts', true)
            ->whereNotNull('sittings.share')
            ->when(
                $user !== null,
                fn (Builder $rows): Builder => $rows->where('sittings.user_id', $user),
                fn (Builder $rows): Builder => $rows->where('sittings.in_cohort', true),
            )
            ->groupBy('sittings.user_id')
            // SQLite gives the id of the row that is the latest.
            ->selectRaw('sittings.id as latest_id, max(sittings.ended_ms)');

        return DB::table('sittings')->joinSub($latest, 'latest', 'latest.latest_id', '=', 'sittings.id');
    }

    private static function whole(Builder $sittings): Builder
    {
        return $sittings
            ->selectRaw('sittings.exam_id, ? as topic', [self::WHOLE])
            ->selectRaw('sittings.user_id, sittings.id as sitting_id, sittings.share as share');
    }

    private static function byTopic(Builder $sittings): Builder
    {
        return $sittings
            ->join('outcomes', 'outcomes.sitting_id', '=', 'sittings.id')
            ->join('topics', 'topics.id', '=', 'outcomes.topic_id')
            ->leftJoin('topics as tops', 'tops.id', '=', 'topics.parent_id')
            ->groupBy('sittings.exam_id', 'sittings.user_id', 'sittings.id')
            ->groupByRaw('coalesce(tops.code, topics.code)')
            ->selectRaw('sittings.exam_id, coalesce(tops.code, topics.code) as topic')
            ->selectRaw('sittings.user_id, sittings.id as sitting_id, avg(coalesce(outcomes.share, 0.0)) as share');
    }

    private static function write(Builder $rows): void
    {
        DB::table('cohort_marks')->insertUsing(['exam_id', 'topic', 'user_id', 'sitting_id', 'share'], $rows);
    }
}
