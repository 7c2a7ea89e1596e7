<?php

declare(strict_types=1);

namespace App\Sitting;

use Brick\Math\BigRational;

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

    /** @param  array<SeriesAttempt>  $attempts  with their sittings: one that is cleared away had begun */
    public static function of(array $attempts): self
    {
        $used = 0;
        $best = $waiting = null;
        foreach ($attempts as $attempt) {
            $sitting = $attempt->sitting;
            $used += $sitting?->status !== Stage::NotStarted || ! $sitting->trashed() ? 1 : 0;
            if ($sitting === null || $sitting->trashed()) {
                continue;
            }
            if (! $sitting->isHandedIn()) {
                $waiting = $sitting->id;
            } else {
                $share = BigRational::of((string) $sitting->marks)->dividedBy((string) $sitting->possible);
                $best = $best === null || $share->isGreaterThan($best) ? $share : $best;
            }
        }

        return new self($used, $best, $waiting);
    }
}
