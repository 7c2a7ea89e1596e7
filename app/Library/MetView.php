<?php

declare(strict_types=1);

namespace App\Library;

use App\Question\Exam;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;

/** A question that one has met, in a line. */
final readonly class MetView
{
    /**
     * @param  string  $excerpt  The stem's beginning, without Markdown.
     * @param  Outcome|null  $outcome  The latest; null: only marked so far.
     * @param  int  $seen  How often it was met.
     * @param  int  $seenAt  When last, Unix milliseconds.
     * @param  bool  $inGapBook  It stands in the gap book and has not closed.
     * @param  string  $note  One's own; empty: none.
     * @param  string|null  $sitting  Where it was met last and may be read.
     */
    public function __construct(
        public int $question,
        public string $exam,
        public string $examName,
        public string $excerpt,
        public Kind $kind,
        public string $topic,
        public string $subtopic,
        public ?Outcome $outcome,
        public int $seen,
        public int $seenAt,
        public bool $flagged,
        public bool $starred,
        public bool $inGapBook,
        public string $note,
        public ?string $sitting,
        public ?int $position,
    ) {
    }

    public static function of(int $question, MetQuestion $met, Exam $exam): self
    {
        return new self(
            question: $question,
            exam: $exam->slug,
            examName: $exam->name,
            excerpt: $met->excerpt,
            kind: $met->kind,
            topic: $met->topic,
            subtopic: $met->subtopic,
            outcome: $met->outcome,
            seen: $met->seen,
            seenAt: $met->seenAt,
            flagged: $met->flagged,
            starred: $met->starred,
            inGapBook: $met->inGapBook,
            note: $met->note,
            sitting: $met->sitting,
            position: $met->position,
        );
    }
}
