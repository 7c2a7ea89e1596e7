<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Pool;

/** What it takes for a question to be in one of a candidate's pools, as SQL over the table `standings`. */
final readonly class OwnPools
{
    /** @param  int|null  $dueUntil  the last day on which what is scheduled is due; null: all that is scheduled is */
    private function __construct(private ?int $dueUntil)
    {
    }

    public static function of(Candidacy $candidacy, ClockInterface $clock): self
    {
        $today = $candidacy->today($clock);

        return new self($candidacy->enrolment()->allIsDueOn($today) ? null : $today);
    }

    /**
     * Only those in one of the pools.
     *
     * @param  list<Pool>  $pools  none: all
     */
    public function narrow(Builder $standings, array $pools): Builder
    {
        return $pools === [] ? $standings : $standings->where(function (Builder $any) use ($pools): void {
            foreach ($pools as $pool) {
                $any->orWhereRaw(...$this->isIn($pool));
            }
        });
    }

    /** @return array{string, list<int|string|null>} the condition, and what it is filled with */
    public function isIn(Pool $pool): array
    {
        return match ($pool) {
            Pool::NewToMe => ['standings.outcome is null', []],
            Pool::Flagged => ['standings.flagged', []],
            Pool::Starred => ['standings.starred', []],
            Pool::WithNotes => ['standings.noted', []],
            Pool::FalseFooting => ['standings.false_footing', []],
            Pool::InGapBook => ['standings.gap_open', []],
            Pool::Due => $this->dueUntil === null
                ? ['standings.due_day is not null', []]
                : ['standings.due_day <= ?', [$this->dueUntil]],
            Pool::GotIt, Pool::Partly, Pool::Missed, Pool::LeftBlank, Pool::ToBeMarked => [
                'standings.outcome = ?', [$pool->outcome()?->value],
            ],
        };
    }
}
