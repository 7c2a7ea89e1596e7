<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Refusal;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;
use Psr\Clock\ClockInterface;

/**
 * Deletes sittings with all that came of them, and brings them back as long as that is promised. What is deleted says
 * nothing any more, in no figure.
 */
final readonly class Deleting
{
    /** So long a deletion can be undone. */
    public const UNDONE_WITHIN_MS = 600_000;

    public function __construct(
        private SittingRepository $repository,
        private Settles $settlement,
        private SeriesAttempts $attempts,
        private ClockInterface $clock,
    ) {
    }

    public function delete(Sitting $sitting): void
    {
        $this->repository->write($sitting, function (Sitting $sitting): void {
            $this->settlement->setAside($sitting);
            // It is nobody's to write to, and its moment tells until when it can come back.
            $sitting->forceFill(['pen' => null, 'deleted_at' => $this->clock->now()])->save();
        });
    }

    /** @throws Refusal when it is too late, or its place has been taken */
    public function restore(Sitting $sitting): void
    {
        Lock::person($sitting->user_id, function () use ($sitting): void {
            $gone = Sitting::onlyTrashed()->find($sitting->id);
            if ($gone === null) {
                return;
            }
            if (self::until($gone) < Moment::now($this->clock)) {
                throw Refusal::conflict('too_late', 'A deletion can be undone for ten minutes. They are over.');
            }
            $this->attempts->refuseIfTaken($gone);
            $gone->restore();
            $this->settlement->bringBack($gone);
        });
    }

    /** Until when a deletion can be undone, in Unix milliseconds. */
    public static function until(Sitting $deleted): int
    {
        return Moment::of($deleted->deleted_at ?? throw new \LogicException('It is not deleted.')) +
            self::UNDONE_WITHIN_MS;
    }

    /** When the oldest deletion was made that can still be undone. */
    public static function lastUndoneAt(DateTimeImmutable $now): DateTimeImmutable
    {
        return $now->modify('-'.intdiv(self::UNDONE_WITHIN_MS, 1000).' seconds');
    }

    /** Clears away for good what can come back no more. */
    public function purge(?User $user = null): void
    {
        $before = self::lastUndoneAt($this->clock->now());
        $gone = Sitting::onlyTrashed()
            ->when($user !== null, fn (Builder $all): Builder => $all->where('user_id', $user?->id))
            ->where('deleted_at', '<', $before)
            ->get();
        foreach ($gone as $sitting) {
            Lock::sitting($sitting->id, function () use ($sitting): void {
                $this->settlement->release($sitting);
                $this->attempts->letGo($sitting);
                $sitting->forceDelete();
            });
        }
    }
}
