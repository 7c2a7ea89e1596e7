<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\SeriesTests;
use App\Database\Lock;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Counts attempts at the tests of a series: the server gives each out, so that two tabs at once don't get one more.
 */
final readonly class SeriesAttempts
{
    public function __construct(private SeriesTests $tests)
    {
    }

    /**
     * The next attempt, ready to begin; one that waits to begin is given out again.
     *
     * @throws Refusal when there is no such test, or all attempts are used
     */
    public function next(Candidacy $candidacy, string $series, string $test): Sitting
    {
        return Lock::person($candidacy->user->id, function () use ($candidacy, $series, $test): Sitting {
            $row = $this->tests->row($candidacy->exam, $series, $test) ?? throw Refusal::notFound();
            $waiting = Sitting::query()
                ->where('status', Stage::NotStarted)
                ->whereIn('id', self::made($candidacy->user, (int) $row->id)->select('sitting_id'))
                ->first();
            if ($waiting !== null) {
                return $waiting;
            }
            $this->refuseBeyond($row, $candidacy->user);
            $sitting = Sitting::createFor($this->tests->of($candidacy->exam, $row), $candidacy->user);
            DB::table('series_attempts')->insert([
                'series_test_id' => $row->id,
                'user_id' => $candidacy->user->id,
                'number' => 1 + (int) self::made($candidacy->user, (int) $row->id)->max('number'),
                'sitting_id' => $sitting->id,
            ]);

            return $sitting;
        });
    }

    /** @return array<int, Attempts> by test of a series, those of which there are any */
    public function of(User $user): array
    {
        $rows = DB::table('series_attempts')
            ->leftJoin('sittings', 'sittings.id', '=', 'series_attempts.sitting_id')
            ->where('series_attempts.user_id', $user->id)
            ->orderBy('number')
            ->get(['series_test_id', 'sittings.id as sitting', 'status', 'deleted_at', 'marks', 'possible']);
        $byTest = [];
        foreach ($rows as $row) {
            $byTest[(int) $row->series_test_id][] = $row;
        }

        return array_map(Attempts::of(...), $byTest);
    }

    /** @throws Refusal when an attempt that never began was deleted and all others have been used since */
    public function refuseIfTaken(Sitting $deleted): void
    {
        $row = DB::table('series_attempts')
            ->join('series_tests', 'series_tests.id', '=', 'series_attempts.series_test_id')
            ->where('sitting_id', $deleted->id)
            ->first(['series_tests.*']);
        if ($row !== null && $deleted->status === Stage::NotStarted) {
            $this->refuseBeyond($row, $deleted->user);
        }
    }

    /** A sitting is cleared away: if it never began, it was no attempt. */
    public function letGo(Sitting $sitting): void
    {
        if ($sitting->status === Stage::NotStarted) {
            DB::table('series_attempts')->where('sitting_id', $sitting->id)->delete();
        }
    }

    /** @throws Refusal */
    private function refuseBeyond(stdClass $test, User $user): void
    {
        if ($test->attempts !== null && ($this->of($user)[(int) $test->id]->used ?? 0) >= (int) $test->attempts) {
            $all = (int) $test->attempts === 1 ? 'The one attempt is' : "All {$test->attempts} attempts are";
            throw Refusal::conflict(
                'attempts_used',
                "{$all} used at this test: {$test->title}. Its questions are in the bank for tests of your own.",
            );
        }
    }

    private static function made(User $user, int $test): Builder
    {
        return DB::table('series_attempts')->where('series_test_id', $test)->where('user_id', $user->id);
    }
}
