<?php

declare(strict_types=1);

namespace App\Sitting;

use Brick\Math\BigRational;
use stdClass;

/** What a candidate has made of one test of a series. */
final readonly class Attempts
{
    /**
     * @param  int  $used  one that was deleted before it began is none
     * @param  BigRational|null  $best  share of the marks of the best that is handed in; null: none is
     * @param  string|null  $waiting  the sitting that waits to begin or to go on
     */
    private function __construct(public int $used, public ?BigRational $best, public ?string $waiting)
    {
    }

    /**
     * @param  list<stdClass>  $rows  sitting (null: cleared away, so it had begun), status, deleted_at, marks,
     * possible
     */
    public static function of(array $rows): self
    {
        $used = 0;
        $best = $waiting = null;
        foreach ($rows as $row) {
            $stage = $row->sitting === null ? null : Stage::from((string) $row->status);
            $used += $stage !== Stage::NotStarted || $row->deleted_at === null ? 1 : 0;
            if ($stage === null || $row->deleted_at !== null) {
                continue;
            }
            if ($stage !== Stage::HandedIn) {
                $waiting = (string) $row->sitting;
            } else {
                $share = BigRational::of((string) $row->marks)->dividedBy((string) $row->possible);
                $best = $best === null || $share->isGreaterThan($best) ? $share : $best;
            }
        }

        return new self($used, $best, $waiting);
    }
}
