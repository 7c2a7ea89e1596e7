<?php

declare(strict_types=1);

namespace App\Progress;

/** The share of a topic's questions that one would get right today. Shares are 0 to 1. */
final readonly class MasteryView
{
    /**
     * @param  float  $weight  In the exam, in per cent.
     * @param  float|null  $stake  Points of the exam that it is costing; null: nobody can say.
     * @param  float|null  $share  Null: too little was answered to say.
     * @param  float|null  $low  Of its 80 % band.
     * @param  int  $responses  Independent answers that it rests on.
     */
    public function __construct(
        public string $code,
        public string $name,
        public float $weight,
        public ?float $stake,
        public ?float $share,
        public ?float $low,
        public ?float $high,
        public int $responses,
    ) {
    }
}
