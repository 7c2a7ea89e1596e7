<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Clock\Moment;
use App\Http\Refusal;
use Closure;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Where sittings are read and written: one writer at a time, each write one transaction. */
final readonly class Desk
{
    /** So often a save looks again when others write to the same sitting. */
    private const MOST_TRIES = 20;

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

        return (new SittingEvents($sitting))->folding($sitting->terms())->at($now ?? $this->now());
    }

    /** Keeps what lists and clocks need to know of a sitting beside it. */
    public function keep(Sitting $sitting, int $now): State
    {
        $state = $this->state($sitting, $now);
        self::note($sitting, $state);
        $sitting->save();

        return $state;
    }

    /** In practice a closed lid pauses the clock, from when the page last ran as far as is known. */
    public function pauseIfContactWasLost(Sitting $sitting, Awake $awake, int $now): void
    {
        $pause = $this->pauseOfLostContact(
            sitting: $sitting,
            awake: $awake,
            now: $now,
            state: fn (): State => $this->state($sitting, $now),
        );
        foreach ($pause as $event) {
            (new SittingEvents($sitting))->addOwn($event);
        }
    }

    /**
     * @param  Closure(): State  $state  asked only where it matters
     * @return list<Event> pauses, each with the moment in which they became known; none: contact was not lost, or the
     *     clock stands or does not stop for it
     */
    public function pauseOfLostContact(Sitting $sitting, Awake $awake, int $now, Closure $state): array
    {
        // Without a clock nothing is to be stopped, and what a device did that was taken along must count.
        $stands = $sitting->packed_by !== null && $sitting->terms()->limit === null;
        if ($sitting->contact_ms === null || ! $sitting->terms()->pausable || $stands) {
            return [];
        }
        $gaps = LostContact::gaps($sitting->contact_ms, $awake, $now);
        if ($gaps === [] || $state()->status === Status::Paused) {
            return [];
        }
        $events = new SittingEvents($sitting);
        $pauses = [];
        foreach ($gaps as [$from, $until]) {
            $pauses[] = $events->own(EventKind::Paused, $from, $now);
            if ($until !== null) {
                $pauses[] = $events->own(EventKind::Resumed, $until);
            }
        }

        return $pauses;
    }

    /** Takes over into the sitting what lists and clocks need to know of its state. */
    public static function note(Sitting $sitting, State $state): void
    {
        $sitting->deadline_ms = $state->status === Status::HandedIn ? $state->endedAt : $state->deadline;
        $sitting->active_ms = $state->activeMs;
        $sitting->answered = $state->answered();
    }

    /**
     * Reads and writes under the lock, for what happens once in a sitting.
     *
     * @template T
     *
     * @param  Closure(Sitting, int): T  $work  given the sitting as it is now, and the moment
     * @return T
     */
    public function write(Sitting $sitting, Closure $work): mixed
    {
        return DB::transaction(function () use ($sitting, $work): mixed {
            $fresh = $this->fresh($sitting);
            $done = $work($fresh, $this->now());
            $fresh->revision++;
            $fresh->save();

            return $done;
        });
    }

    /**
     * Reads and checks before the lock and only writes under it, for what happens all the time. If somebody else wrote
     * to the sitting in between, all is read and checked again.
     *
     * @template T
     *
     * @param  Closure(Sitting, int): (Closure(): T)  $prepare  given the sitting as it is now, and the moment: changes
     *   the sitting's attributes and gives what else is to be written
     * @return T
     */
    public function writeSoon(Sitting $sitting, Closure $prepare): mixed
    {
        for ($tries = self::MOST_TRIES; $tries > 0; $tries--) {
            // Mostly it has just been read. If not, its revision tells, and no refusal goes by what is old.
            $asRead = $tries === self::MOST_TRIES;
            $fresh = $asRead ? clone $sitting : $this->fresh($sitting);
            try {
                $write = $prepare($fresh, $this->now());
            } catch (Refusal $refusal) {
                if ($asRead) {
                    continue;
                }
                throw $refusal;
            }
            $fresh->revision++;
            $written = DB::transaction(fn (): ?array => $this->save($fresh) ? [$write()] : null);
            if ($written !== null) {
                return $written[0];
            }
        }
        throw Refusal::conflict('busy', 'This sitting is being saved from elsewhere. Try again in a moment.');
    }

    private function fresh(Sitting $sitting): Sitting
    {
        return Sitting::query()->findOrFail($sitting->id);
    }

    /** @return bool false: somebody else has written to it since it was read */
    private function save(Sitting $sitting): bool
    {
        return DB::table('sittings')->where('id', $sitting->id)->where('revision', $sitting->revision - 1)
            ->update($sitting->getDirty()) === 1;
    }

    /** @throws Refusal */
    public function refuseHandedIn(Sitting $sitting): void
    {
        if ($sitting->isHandedIn()) {
            throw Refusal::conflict('handed_in', 'This sitting has been handed in. Its result is ready.');
        }
    }
}
