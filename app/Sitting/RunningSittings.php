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

/** The sittings of a candidate that have begun, run by a clock, and are not over. */
final readonly class RunningSittings implements HoldsBack
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function heldBack(User $user): array
    {
        $held = DB::table('sittings')
            ->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->join('test_items', 'test_items.test_id', '=', 'tests.id')
            ->where('sittings.user_id', $user->id)
            ->where('sittings.status', Stage::Open->value)
            ->whereNotIn('sittings.mode', [Mode::Tutor->value, Mode::Untimed->value])
            // One whose time is up while nobody looks is as good as handed in.
            ->where(
                fn (Builder $clock): Builder => $clock
                    ->whereNull('sittings.deadline_ms')
                    ->orWhere('sittings.deadline_ms', '>=', Moment::now($this->clock) - Fold::GRACE_MS),
            )
            ->select('test_items.question_id');
        $units = DB::table('questions')->whereIn('id', clone $held)->whereNotNull('unit_id')->select('unit_id');
        $questions = DB::table('questions')->whereIn('id', $held)->orWhereIn('unit_id', $units)->pluck('id')->all();

        return array_map(intval(...), array_values($questions));
    }
}
