<?php

declare(strict_types=1);

namespace App\Sitting;

/** Why a topic is in a test of weak spots. */
final readonly class ReasonView
{
    /**
     * @param  float|null  $stake  Points of the exam that it costs, in per cent; null: too little is known.
     * @param  float|null  $mastery  0 to 1; null: too little is known.
     * @param  int  $overdue  Of these, due to revisit or open gaps.
     */
    public function __construct(
        public string $topic,
        public int $questions,
        public ?float $stake,
        public ?float $mastery,
        public int $overdue,
        public int $fresh,
        public int $again,
    ) {
    }
}
