<?php

declare(strict_types=1);

namespace App\Sitting;

/** That a sitting is an attempt at a test of a series. */
final readonly class SeriesPlaceView
{
    /**
     * @param  int  $used  Attempts, this one among them.
     * @param  int|null  $attempts  How many there are; null: as many as one likes.
     */
    public function __construct(public int $used, public ?int $attempts)
    {
    }
}
