<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Refusal;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Folding;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Where sittings are read and written: one writer at a time, each write one transaction. */
final readonly class SittingRepository
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

    /**
     * What time it is for a sitting. Its moments never go back: should the server's clock have been set back, time
     * stands until it has caught up.
     */
    public function nowFor(Sitting $sitting): int
    {
        $now = $this->now();
        $last = max((int) $sitting->started_ms, (int) $sitting->contact_ms);
        if ($now < $last) {
            Log::warning('The server\'s clock stands before the last word of a sitting.', [
                'sitting' => $sitting->id,
                'behind_ms' => $last - $now,
            ]);
        }

        return max($now, $last);
    }

    public function state(Sitting $sitting, ?int $now = null): State
    {
        if (! $sitting->hasBegun()) {
            $sitting->loadMissing('test.exam', 'user');
        }

        return (new SittingEvents($sitting))->folding($sitting->terms())->at($now ?? $this->nowFor($sitting));
    }

    /** Keeps what lists and clocks need to know of a sitting beside it. */
    public function keep(Sitting $sitting, int $now): State
    {
        $state = $this->state($sitting, $now);
        self::note($sitting, $state);
        $sitting->save();

        return $state;
    }

    /**
     * Stores what follows from the time without contact that ends now.
     *
     * @param  bool  $isAwaited  whether a device may still bring what it did in time: one that said it left does not
     */
    public function noteLostContact(Sitting $sitting, Awake $awake, int $now, bool $isAwaited = true): void
    {
        $events = new SittingEvents($sitting);
        $folding = $events->folding($sitting->terms());
        foreach ($this->lostContact(sitting: $sitting, awake: $awake, now: $now, folding: $folding) as $event) {
            if ($isAwaited || $event->kind !== EventKind::Waited) {
                $events->addOwn($event);
            }
        }
    }

    /**
     * What follows from the time without contact that ends now. In practice a closed lid pauses the clock, from when
     * the page last ran as far as is known. Where a clock ran out all the same, that is noted: what was done in time
     * still counts, though the device is back only now.
     *
     * @param  Folding  $folding  of all that is stored
     * @param  SittingEvents|null  $stored  where they have been read already
     * @return list<Event> none: contact was not lost, or nothing follows from it
     */
    public function lostContact(
        Sitting $sitting,
        Awake $awake,
        int $now,
        Folding $folding,
        ?SittingEvents $stored = null,
    ): array {
        if ($sitting->contact_ms === null) {
            return [];
        }
        $pauses = $this->pauses(sitting: $sitting, awake: $awake, now: $now, folding: $folding);
        if ($pauses !== []) {
            $folding = ($stored ?? new SittingEvents($sitting))->whole($sitting->terms(), $pauses);
        }

        $waited = $this->waited(sitting: $sitting, awake: $awake, now: $now, state: $folding->at($now));

        return [...$pauses, ...array_filter([$waited])];
    }

    /** @return list<Event> each with the moment in which it became known */
    private function pauses(Sitting $sitting, Awake $awake, int $now, Folding $folding): array
    {
        // Without a clock nothing is to be stopped, and what a device did that was taken along must count.
        $stands = $sitting->packed_by !== null && $sitting->terms()->limit === null;
        if (! $sitting->terms()->pausable || $stands) {
            return [];
        }
        $gaps = LostContact::gaps((int) $sitting->contact_ms, $awake, $now);
        if ($gaps === [] || $folding->at($now)->status === Status::Paused) {
            return [];
        }
        $events = new SittingEvents($sitting);
        $pauses = [];
        foreach ($gaps as [$from, $until]) {
            $pauses[] = $events->own(EventKind::Paused, $from, $now, first: $from === $now);
            if ($until !== null) {
                $pauses[] = $events->own(EventKind::Resumed, $until);
            }
        }

        return $pauses;
    }

    private function waited(Sitting $sitting, Awake $awake, int $now, State $state): ?Event
    {
        $since = (int) $sitting->contact_ms;
        foreach ([$state->byClock ? $state->endedAt : null, ...$state->sectionEnds] as $limit) {
            if ($limit !== null && $limit >= $since && $limit + Fold::GRACE_MS < $now) {
                $gaps = LostContact::gaps($since, $awake, $now);

                return (new SittingEvents($sitting))->own(
                    EventKind::Waited,
                    $now,
                    ['since' => $since, 'gaps' => $gaps],
                    first: true,
                );
            }
        }

        return null;
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
        return Lock::sitting($sitting->id, function () use ($sitting, $work): mixed {
            $fresh = $this->fresh($sitting);
            $done = $work($fresh, $this->nowFor($fresh));
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
    public function writeOptimistically(Sitting $sitting, Closure $prepare): mixed
    {
        for ($tries = self::MOST_TRIES; $tries > 0; $tries--) {
            // Mostly it has just been read. If not, its revision tells, and no refusal goes by what is old.
            $asRead = $tries === self::MOST_TRIES;
            $fresh = $asRead ? clone $sitting : $this->fresh($sitting);
            try {
                $write = $prepare($fresh, $this->nowFor($fresh));
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
