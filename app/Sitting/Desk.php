<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Clock\Moment;
use App\Http\Refusal;
use Closure;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Where sittings are read and written: one writer at a time, each write one transaction. */
final readonly class Desk
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function now(): int
    {
        return Moment::now($this->clock);
    }

    public function state(Sitting $sitting, ?int $now = null): State
    {
        if (! $sitting->hasBegun()) {
            $sitting->loadMissing('test.exam', 'user');
        }

        return Fold::of($sitting->terms(), (new SittingEvents($sitting))->all(), $now ?? $this->now());
    }

    /** Keeps what lists and clocks need to know of a sitting beside it. */
    public function keep(Sitting $sitting, int $now): State
    {
        $state = $this->state($sitting, $now);
        $sitting->deadline_ms = $state->status === Status::HandedIn ? $state->endedAt : $state->deadline;
        $sitting->active_ms = $state->activeMs;
        $sitting->answered = $state->answered();
        $sitting->save();

        return $state;
    }

    /** In practice a closed lid pauses the clock from the last contact on. */
    public function pauseIfContactWasLost(Sitting $sitting, ?int $awakeSince, int $now): void
    {
        if ($sitting->contact_ms === null || ! $sitting->terms()->pausable) {
            return;
        }
        $from = LostContact::pausedFrom($sitting->contact_ms, $awakeSince, $now);
        if ($from !== null && $this->state($sitting, $now)->status !== Status::Paused) {
            $events = new SittingEvents($sitting);
            $events->add([$events->own(EventKind::Paused, $from)]);
        }
    }

    /**
     * @template T
     *
     * @param  Closure(Sitting, int): T  $work  given the sitting as it is now, and the moment
     * @return T
     */
    public function write(Sitting $sitting, Closure $work): mixed
    {
        return DB::transaction(function () use ($sitting, $work): mixed {
            $fresh = Sitting::query()->with('test.exam', 'user')->lockForUpdate()->findOrFail($sitting->id);

            return $work($fresh, $this->now());
        }, 3);
    }

    /** @throws Refusal */
    public function refuseHandedIn(Sitting $sitting): void
    {
        if ($sitting->isHandedIn()) {
            throw Refusal::conflict('handed_in', 'This sitting has been handed in. Its result is ready.');
        }
    }
}
