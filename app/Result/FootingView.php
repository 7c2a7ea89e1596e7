<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Footing;

/** Sureness against outcome, counted. */
final readonly class FootingView
{
    /**
     * @param  int  $firm  Sure and right.
     * @param  int  $falseFooting  Sure and wrong.
     * @param  int  $luckyStep  A guess and right.
     * @param  int  $openGround  A guess and wrong.
     */
    public function __construct(
        public int $firm,
        public int $falseFooting,
        public int $luckyStep,
        public int $openGround,
    ) {
    }

    /** @param  array<string, int>  $counts  by Footing value */
    public static function of(array $counts): self
    {
        return new self(
            ...array_map(fn (Footing $footing): int => $counts[$footing->value], [
                Footing::Firm,
                Footing::FalseFooting,
                Footing::LuckyStep,
                Footing::OpenGround,
            ]),
        );
    }
}
