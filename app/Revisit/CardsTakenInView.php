<?php

declare(strict_types=1);

namespace App\Revisit;

final readonly class CardsTakenInView
{
    /**
     * @param  int  $added  New ones.
     * @param  int  $known  That were there already, with the same two sides.
     */
    public function __construct(
        public int $added,
        public int $known,
    ) {
    }
}
