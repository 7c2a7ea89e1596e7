<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;
use Uplandia\Core\Marking\Outcome;

/** A question that comes back. */
final readonly class RevisitView
{
    /**
     * @param  string  $excerpt  The stem's beginning, without Markdown.
     * @param  Outcome  $outcome  The latest.
     * @param  int  $seen  How often it was met.
     * @param  string|null  $due  Null: it stays away.
     * @param  float|null  $recall  The chance that it is still known today, 0 to 1.
     * @param  string|null  $sitting  Where it was met last and may be read.
     */
    public function __construct(
        public int $question,
        public string $excerpt,
        public string $topic,
        public string $subtopic,
        public Outcome $outcome,
        public int $seen,
        #[Day] public ?string $due,
        public ?float $recall,
        public ?string $sitting,
        public ?int $position,
    ) {
    }
}
