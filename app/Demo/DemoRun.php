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
     */
    public function __construct(
        public Simulator $simulator,
        public SimulatedPerson $person,
        public array $simulated,
        public bool $leaves,
    ) {
    }
}
