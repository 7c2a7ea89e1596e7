<?php

declare(strict_types=1);

namespace App\Scoring;

use Uplandia\Core\Scoring\Marked;

/** What came of the questions of a sitting: marked, and as rows of two tables. */
final readonly class Settled
{
    /**
     * @param  list<Marked>  $marked
     * @param  list<array<string, mixed>>  $outcomes
     * @param  list<array<string, mixed>>  $standings
     */
    public function __construct(public array $marked, public array $outcomes, public array $standings)
    {
    }
}
