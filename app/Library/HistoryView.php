<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Day;

/** Every time that a question was met, of tests that are handed in. */
final readonly class HistoryView
{
    /**
     * @param  list<EncounterView>  $encounters  The latest first.
     * @param  list<HighlightView>  $highlights
     * @param  string|null  $due  When it comes back; null: it does not.
     * @param  float|null  $recall  The chance that it is still known today, 0 to 1.
     */
    public function __construct(
        public array $encounters,
        public array $highlights,
        #[Day] public ?string $due,
        public ?float $recall,
    ) {
    }
}
