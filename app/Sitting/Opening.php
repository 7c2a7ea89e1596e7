<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** Begins sittings and goes on with them. */
final readonly class Opening
{
    public function __construct(
        private SittingRepository $repository,
        private TabLock $tabLock,
        private Recorder $recorder,
    ) {
    }

    /**
     * Begins a sitting or goes on with it, and gives the tab the pen.
     *
     * @param  list<Event>  $left  what an earlier page of this device could not send: it counts as what is known now
     *     says, since it comes with the word that contact is back
     *
     * @throws Refusal when it is handed in, or another tab holds the pen and `take` is not given
     */
    public function open(
        Sitting $sitting,
        string $tab,
        bool $take,
        ?Awake $awake = null,
        array $left = [],
    ): Recorded {
        return $this->repository->write($sitting, function (Sitting $sitting, int $now) use (
            $tab,
            $take,
            $awake,
            $left,
        ): Recorded {
            $this->repository->refuseHandedIn($sitting);
            $this->tabLock->give(sitting: $sitting, tab: $tab, take: $take, now: $now);
            if (! $sitting->hasBegun()) {
                $this->begin($sitting, $now);
            }
            $refused = $this->recorder->store(
                sitting: $sitting,
                events: $left,
                awake: $awake ?? Awake::unknown(),
                now: $now,
            );
            $state = $this->repository->keep($sitting, $now);
            $this->recorder->settleChecked($sitting, $state, $left);

            return new Recorded($state, Recorder::refusedOf($left, $state, $refused), $sitting->last_seq);
        });
    }

    /** From here on the rules stand, whatever becomes of the exam's, the test's or the candidate's. */
    private function begin(Sitting $sitting, int $now): void
    {
        $events = new SittingEvents($sitting);
        $events->addOwn($events->own(EventKind::Started, $now));
        $terms = $sitting->terms();
        $sitting->fill([
            'status' => Stage::Open,
            'started_ms' => $now,
            'terms' => $terms->toArray(),
            'clocked' => $terms->hasClock(),
        ]);
    }
}
