<?php

declare(strict_types=1);

namespace App\Demo;

use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;

/** Who sits a test of the demo's past, and how. */
final readonly class DemoRun
{
    /**
     * @param  array<int, SimulatedItem>  $simulated  by question id
     * @param  bool  $leaves  half of it stays open
     * @param  float  $fades  ability lost between the first question and the last
     * @param  float  $slower  how many times as long it takes
     */
    public function __construct(
        public Simulator $simulator,
        public SimulatedPerson $person,
        public array $simulated,
        public bool $leaves = false,
        public float $fades = 0.0,
        public float $slower = 1.0,
    ) {
    }
}
