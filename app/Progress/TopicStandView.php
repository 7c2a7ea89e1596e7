<?php

declare(strict_types=1);

namespace App\Progress;

/** Where one stands in a topic, by the model. Shares are 0 to 1. */
final readonly class TopicStandView
{
    /**
     * @param  float  $weight  Percent of the exam.
     * @param  float|null  $share  Mastery; null: too little to say.
     * @param  float|null  $low  Of its 80 % band.
     * @param  int  $responses  Independent answers that it rests on.
     * @param  float|null  $stake  Points of the exam that it is costing.
     * @param  float|null  $lever  Rise of the outlook if it came up to the target.
     * @param  int  $right  At the latest look.
     * @param  list<CoverageView>  $parts  Its subtopics.
     */
    public function __construct(
        public string $code,
        public string $name,
        public float $weight,
        public ?float $share,
        public ?float $low,
        public ?float $high,
        public int $responses,
        public ?float $stake,
        public ?float $lever,
        public int $all,
        public int $seen,
        public int $right,
        public array $parts,
    ) {
    }
}
