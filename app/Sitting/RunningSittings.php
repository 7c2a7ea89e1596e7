<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\HoldsBack;
use App\Clock\Moment;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Sitting\Fold;

/**
 * The sittings of a candidate that have begun, run by a clock, and are not over. One that was deleted is among them as
 * long as it can be had back: else a key could be read in between.
 */
final readonly class RunningSittings implements HoldsBack
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function heldBack(User $user): array
    {
        $now = $this->clock->now();
        // Step by step, each by an index: in one statement a database may choose to read the bank instead.
        $tests = DB::table('sittings')
            ->where('user_id', $user->id)
            ->where('status', Stage::Open->value)
            ->whereNotIn('mode', [Mode::Tutor->value, Mode::Untimed->value])
            // One whose time is up while nobody looks is as good as handed in.
            ->where(
                fn (Builder $clock): Builder => $clock
                    ->whereNull('deadline_ms')
                    ->orWhere('deadline_ms', '>=', Moment::of($now) - Fold::GRACE_MS),
            )
            ->where(
                fn (Builder $here): Builder => $here
                    ->whereNull('deleted_at')
                    ->orWhere('deleted_at', '>=', Deleting::lastUndoneAt($now)),
            )
            ->distinct()
            ->pluck('test_id');
        if ($tests->isEmpty()) {
            return [];
        }
        $held = DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->whereIn('test_items.test_id', $tests)
            ->get(['questions.id', 'questions.unit_id']);
        $ids = fn (string $column): array => array_map(
            fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            array_values($held->pluck($column)->filter()->unique()->all()),
        );
        // With each question its whole unit.
        $units = $ids('unit_id');
        $together = DB::table('questions')->whereIntegerInRaw('unit_id', $units)->pluck('id')->all();

        return array_values(array_unique([...$ids('id'), ...array_map(intval(...), array_values($together))]));
    }
}
