<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Result\Footing;

/**
 * A candidate's relation to a question, from every time they met it. What was not reached makes none.
 * Source: computation.md, sections 1 and 9.
 */
final readonly class Standing
{
    /**
     * @param  Outcome  $outcome  the latest
     * @param  int  $seen  how often it was met
     * @param  int  $seenAt  when last, Unix milliseconds
     * @param  bool  $flagged  it lasts: a later sitting never takes a flag away
     * @param  bool  $falseFooting  sure and wrong at the latest look
     * @param  bool  $gapOpen  it stands in the gap book and has not closed
     * @param  int  $misses  how often it got, or fell back, into the gap book
     * @param  int|null  $dueDay  when it should come back, whatever the exam's date; null: nothing is marked yet
     */
    private function __construct(
        public Outcome $outcome,
        public int $seen,
        public int $seenAt,
        public bool $flagged,
        public bool $falseFooting,
        public bool $gapOpen,
        public int $misses,
        public ?int $dueDay,
    ) {
    }

    /**
     * @param  list<Encounter>  $encounters  in order of time
     * @param  GapMove|null  $move  the candidate's latest word on the gap book: it holds until an answer says otherwise
     * @return self|null null: the question is new
     */
    public static function after(array $encounters, ?GapMove $move = null): ?self
    {
        $encounters = array_values(
            array_filter(
                $encounters,
                static fn (Encounter $encounter): bool => $encounter->outcome !== Outcome::NotReached,
            ),
        );
        $last = end($encounters);
        if ($last === false) {
            return null;
        }
        [$gapOpen, $misses] = self::gap($encounters, $move);

        return new self(
            outcome: $last->outcome,
            seen: count($encounters),
            seenAt: $last->at,
            flagged: in_array(true, array_column($encounters, 'flagged'), true),
            falseFooting: Footing::of($last->sureness, $last->outcome) === Footing::FalseFooting,
            gapOpen: $gapOpen,
            misses: $misses,
            dueDay: self::dueDay($encounters),
        );
    }

    /**
     * @param  list<Encounter>  $encounters
     * @return array{bool, int} whether a gap is open, and how often one opened by an answer
     */
    private static function gap(array $encounters, ?GapMove $move): array
    {
        $attempts = [];
        $open = false;
        $misses = 0;
        foreach ($encounters as $encounter) {
            if ($move !== null && $move->at < $encounter->at) {
                [$attempts, $open] = self::moved($attempts, $open, $move);
                $move = null;
            }
            $wrong = in_array($encounter->outcome, [Outcome::Missed, Outcome::Partly], true);
            if ($wrong && ! $open) {
                $attempts = [];
                $misses++;
            }
            if ($wrong || $attempts !== []) {
                $attempts[] = new Attempt($encounter->day, $encounter->outcome, $encounter->sureness);
                $open = Gap::after($attempts)->isOpen;
            }
        }
        if ($move !== null) {
            [, $open] = self::moved($attempts, $open, $move);
        }

        return [$open, $misses];
    }

    /**
     * Put in, a gap that was closed begins anew; taken out, it is closed.
     *
     * @param  list<Attempt>  $attempts
     * @return array{list<Attempt>, bool}
     */
    private static function moved(array $attempts, bool $open, GapMove $move): array
    {
        return match (true) {
            $move->into === $open => [$attempts, $open],
            $move->into => [[new Attempt($move->day, Outcome::Missed)], true],
            default => [[], false],
        };
    }

    /** @param  list<Encounter>  $encounters */
    private static function dueDay(array $encounters): ?int
    {
        $memory = $day = null;
        foreach ($encounters as $encounter) {
            if ($encounter->outcome === Outcome::Pending) {
                continue;
            }
            $grade = Grade::of(
                outcome: $encounter->outcome,
                sureness: $encounter->sureness,
                ms: $encounter->ms,
                medianMs: $encounter->medianMs,
            );
            $memory =
                $memory === null || $day === null
                    ? Scheduler::first($grade)
                    : Scheduler::next($memory, $grade, max(0, $encounter->day - $day));
            $day = $encounter->day;
        }

        return $memory === null || $day === null ? null : $day + Scheduler::interval($memory);
    }
}
