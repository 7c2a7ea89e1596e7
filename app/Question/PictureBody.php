<?php

declare(strict_types=1);

namespace App\Question;

/** Places on a picture to point at. */
final readonly class PictureBody
{
    /**
     * @param  'picture'  $kind
     * @param  int  $points  How many places.
     */
    public function __construct(
        public string $kind,
        public PictureView $picture,
        public int $points,
    ) {
    }
}
