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
     * @param  int|null  $dueDay  when it should come back, whatever the exam's date; null: nothing is marked yet, or
     *   the candidate wants it to stay away
     * @param  GapState|null  $gap  null: it never was in the gap book
     * @param  int|null  $gapDay  when the gap opened last, or closed
     * @param  Memory|null  $memory  null: nothing is marked yet
     * @param  int|null  $rememberedDay  as of which it is remembered so
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
        public ?GapState $gap,
        public ?int $gapDay,
        public ?Memory $memory,
        public ?int $rememberedDay,
    ) {
    }

    /**
     * @param  list<Encounter>  $encounters  in any order of those that were shown without an answer, else in time
     * @param  GapMove|null  $move  the candidate's latest word on the gap book: it holds until an answer says otherwise
     * @param  RevisitWord|null  $word  their latest word on when it should come back
     * @return self|null null: the question is new
     */
    public static function after(array $encounters, ?GapMove $move = null, ?RevisitWord $word = null): ?self
    {
        $encounters = self::thatCount($encounters);
        $last = end($encounters);
        if ($last === false) {
            return null;
        }
        [$gap, $gapDay, $misses] = self::gap($encounters, $move);
        $remembered = Remembered::after(self::looks($encounters));
        $dueDay = $remembered?->dueDay();

        return new self(
            outcome: $last->outcome,
            seen: count($encounters),
            seenAt: $last->at,
            flagged: in_array(true, array_column($encounters, 'flagged'), true),
            falseFooting: Footing::of($last->sureness, $last->outcome) === Footing::FalseFooting,
            gapOpen: $gap === GapState::Open || $gap === GapState::Closing,
            misses: $misses,
            dueDay: $word === null ? $dueDay : $word->over($dueDay, $last->at),
            gap: $gap,
            gapDay: $gapDay,
            memory: $remembered?->memory,
            rememberedDay: $remembered?->day,
        );
    }

    /**
     * What was not reached makes no standing, and a key that was shown makes one only where the question was new.
     *
     * @param  list<Encounter>  $encounters
     * @return list<Encounter> in order of time
     */
    private static function thatCount(array $encounters): array
    {
        $met = array_values(array_filter(
            $encounters,
            static fn (Encounter $one): bool => ! $one->glimpse && $one->outcome !== Outcome::NotReached,
        ));
        $glimpses = array_values(array_filter(
            $encounters,
            static fn (Encounter $one): bool => $one->glimpse && ($met === [] || $one->at <= $met[0]->at),
        ));

        return [...array_slice($glimpses, 0, 1), ...$met];
    }

    /**
     * @param  list<Encounter>  $encounters
     * @return array{GapState|null, int|null, int} how it stands, since which day, and how often an answer opened it
     */
    private static function gap(array $encounters, ?GapMove $move): array
    {
        $attempts = [];
        $state = $since = null;
        $misses = 0;
        foreach ($encounters as $encounter) {
            if ($move !== null && $move->at < $encounter->at) {
                [$attempts, $state, $since] = self::moved(
                    attempts: $attempts,
                    state: $state,
                    since: $since,
                    move: $move,
                );
                $move = null;
            }
            $wrong = in_array($encounter->outcome, [Outcome::Missed, Outcome::Partly], true);
            if ($wrong && ($state === null || $state === GapState::Closed)) {
                [$attempts, $since] = [[], $encounter->day];
                $misses++;
            }
            if ($wrong || $attempts !== []) {
                $attempts[] = new Attempt($encounter->day, $encounter->outcome, $encounter->sureness);
                $before = $state;
                [$state, $closed] = self::state($attempts);
                $since = $state === GapState::Closed && $before !== $state ? $closed : $since;
            }
        }
        if ($move !== null) {
            [, $state, $since] = self::moved(attempts: $attempts, state: $state, since: $since, move: $move);
        }

        return [$state, $since, $misses];
    }

    /**
     * @param  non-empty-list<Attempt>  $attempts
     * @return array{GapState, int|null} and when it closed
     */
    private static function state(array $attempts): array
    {
        $gap = Gap::after($attempts);
        $right = $attempts[count($attempts) - 1]->outcome === Outcome::Right;

        return match (true) {
            ! $gap->isOpen => [GapState::Closed, $gap->closedOn],
            $right => [GapState::Closing, null],
            default => [GapState::Open, null],
        };
    }

    /**
     * Put in, a gap that was closed begins anew; taken out, it is closed.
     *
     * @param  list<Attempt>  $attempts
     * @return array{list<Attempt>, GapState|null, int|null}
     */
    private static function moved(array $attempts, ?GapState $state, ?int $since, GapMove $move): array
    {
        $open = $state === GapState::Open || $state === GapState::Closing;

        return match (true) {
            $move->into === $open => [$attempts, $state, $since],
            $move->into => [[new Attempt($move->day, Outcome::Missed)], GapState::Open, $move->day],
            default => [[], GapState::Closed, $move->day],
        };
    }

    /**
     * @param  list<Encounter>  $encounters
     * @return iterable<Repetition> of what is marked
     */
    private static function looks(array $encounters): iterable
    {
        foreach ($encounters as $encounter) {
            if ($encounter->outcome !== Outcome::Pending) {
                yield new Repetition(
                    $encounter->day,
                    Grade::of(
                        outcome: $encounter->outcome,
                        sureness: $encounter->sureness,
                        ms: $encounter->ms,
                        medianMs: $encounter->medianMs,
                    ),
                );
            }
        }
    }
}
