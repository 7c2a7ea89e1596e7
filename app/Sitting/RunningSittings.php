<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\HoldsBack;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;

/**
 * The sittings of a candidate that have begun, run by a clock, and are not closed for good: running or paused, and
 * those whose time is up while they still wait for their device. One that was deleted is among them as long as it can
 * be had back: else a key could be read in between.
 */
final readonly class RunningSittings implements HoldsBack
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function heldBack(User $user): array
    {
        return array_keys($this->questions($user->id));
    }

    /**
     * The questions that they ask, with each its whole unit.
     *
     * @param  string|null  $but  a sitting that is left out
     * @return array<int, RunningSitting> by question: the sitting that began first, of those that ask it
     */
    public function questions(int $user, ?string $but = null): array
    {
        // Step by step, each by an index: in one statement a database may choose to read the bank instead.
        $running = $this->all($user, $but);
        $asking = [];
        foreach ($running as $sitting) {
            $asking[$sitting->test] ??= $sitting;
        }
        $held = $units = [];
        foreach ($this->asked(array_keys($asking)) as $row) {
            $sitting = $asking[(string) $row->test_id];
            $held[(int) $row->id] = ($held[(int) $row->id] ?? $sitting)->earlier($sitting);
            if ($row->unit_id !== null) {
                $unit = (int) $row->unit_id;
                $units[$unit] = ($units[$unit] ?? $sitting)->earlier($sitting);
            }
        }
        $together = fn (): iterable => DB::table('questions')
            ->whereIntegerInRaw('unit_id', array_keys($units))
            ->get(['id', 'unit_id']);
        foreach ($units === [] ? [] : $together() as $row) {
            $sitting = $units[(int) $row->unit_id];
            $held[(int) $row->id] = ($held[(int) $row->id] ?? $sitting)->earlier($sitting);
        }

        return $held;
    }

    /** @return list<RunningSitting> the one that began first comes first */
    private function all(int $user, ?string $but): array
    {
        $rows = DB::table('sittings')
            ->where('user_id', $user)
            ->where('status', Stage::Open->value)
            ->where('clocked', true)
            ->when($but !== null, fn (Builder $others): Builder => $others->where('id', '!=', $but))
            ->where(
                fn (Builder $here): Builder => $here
                    ->whereNull('deleted_at')
                    ->orWhere('deleted_at', '>=', Deleting::lastUndoneAt($this->clock->now())),
            )
            ->orderBy('started_ms')
            ->get(['test_id', 'name', 'started_ms']);

        return array_map(
            fn (stdClass $row): RunningSitting => new RunningSitting(
                test: (string) $row->test_id,
                name: (string) $row->name,
                began: (int) $row->started_ms,
            ),
            array_values($rows->all()),
        );
    }

    /**
     * @param  list<string>  $tests
     * @return iterable<stdClass>
     */
    private function asked(array $tests): iterable
    {
        return $tests === [] ? [] : DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->whereIn('test_items.test_id', $tests)
            ->get(['test_items.test_id', 'questions.id', 'questions.unit_id']);
    }
}
