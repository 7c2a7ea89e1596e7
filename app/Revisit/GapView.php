<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;
use App\Http\Contract\Named;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Revisit\GapState;

/** A question in the gap book. */
#[Named('GapEntry')]
final readonly class GapView
{
    /**
     * @param  string  $excerpt  The stem's beginning, without Markdown.
     * @param  string  $since  When it opened, or closed.
     * @param  int  $misses  How often an answer opened it.
     * @param  int  $seenAt  When the question was met last.
     * @param  string  $note  One's own; empty: none.
     * @param  list<string>  $sections  Codes of what to read.
     * @param  string|null  $due  When it comes back; null: it does not.
     * @param  bool  $retired  The question is asked no more.
     * @param  string|null  $sitting  Where it was met last and may be read; null: in none that is handed in.
     */
    public function __construct(
        public int $question,
        public string $excerpt,
        public Kind $kind,
        public string $topic,
        public string $subtopic,
        public GapState $state,
        #[Day] public string $since,
        public int $misses,
        public int $seenAt,
        public ?Cause $cause,
        public string $note,
        public array $sections,
        #[Day] public ?string $due,
        public bool $retired,
        public ?string $sitting,
        public ?int $position,
    ) {
    }
}
