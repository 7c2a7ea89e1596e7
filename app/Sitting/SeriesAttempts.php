<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\SeriesTest;
use App\Assembly\SeriesTests;
use App\Database\Lock;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

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
            $one = $this->tests->find($candidacy->exam, $series, $test) ?? throw Refusal::notFound();
            $made = fn (): Builder => SeriesAttempt::at($one->id, $candidacy->user->id);
            $waiting = Sitting::query()
                ->where('status', Stage::NotStarted)
                ->whereIn('id', $made()->select('sitting_id'))
                ->first();
            if ($waiting !== null) {
                return $waiting;
            }
            $this->refuseBeyond($one, $candidacy->user);
            $sitting = Sitting::createFor($this->tests->of($candidacy->exam, $one), $candidacy->user);
            SeriesAttempt::query()->create([
                'series_test_id' => $one->id,
                'user_id' => $candidacy->user->id,
                'number' => 1 + (int) $made()->max('number'),
                'sitting_id' => $sitting->id,
            ]);

            return $sitting;
        });
    }

    /** @return array<int, Attempts> by test of a series, those of which there are any */
    public function of(User $user): array
    {
        return SeriesAttempt::query()
            ->where('user_id', $user->id)
            ->with('sitting:id,status,deleted_at,marks,possible')
            ->orderBy('number')
            ->get()
            ->groupBy('series_test_id')
            ->map(fn (Collection $attempts): Attempts => Attempts::of($attempts->all()))
            ->all();
    }

    /** @throws Refusal when an attempt that never began was deleted and all others have been used since */
    public function refuseIfTaken(Sitting $deleted): void
    {
        $attempt = SeriesAttempt::query()->where('sitting_id', $deleted->id)->with('test')->first();
        if ($attempt !== null && $deleted->status === Stage::NotStarted) {
            $this->refuseBeyond($attempt->test, $deleted->user);
        }
    }

    /** A sitting is cleared away: if it never began, it was no attempt. */
    public function letGo(Sitting $sitting): void
    {
        if ($sitting->status === Stage::NotStarted) {
            SeriesAttempt::query()->where('sitting_id', $sitting->id)->delete();
        }
    }

    /** @throws Refusal */
    private function refuseBeyond(SeriesTest $test, User $user): void
    {
        if ($test->attempts !== null && ($this->of($user)[$test->id]->used ?? 0) >= $test->attempts) {
            $all = $test->attempts === 1 ? 'The one attempt is' : "All {$test->attempts} attempts are";
            throw Refusal::conflict(
                'attempts_used',
                "{$all} used at this test: {$test->title}. Its questions are in the bank for tests of your own.",
            );
        }
    }
}
