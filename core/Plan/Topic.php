<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

/** What a plan has to know of a topic. */
final readonly class Topic
{
    /**
     * @param  string  $weight  in the exam, exact
     * @param  int  $unseen  questions never met
     * @param  list<Met>  $met  those that were
     * @param  float  $stake  points at stake; 0: none, or not known
     */
    public function __construct(public string $weight, public int $unseen, public array $met, public float $stake)
    {
    }
}
