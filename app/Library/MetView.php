<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;

/** A question that one has met, in a line. */
#[OA\Schema(schema: 'Met')]
final readonly class MetView
{
    public function __construct(
        #[OA\Property] public int $question,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property(enum: Kind::class)] public Kind $kind,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(enum: Outcome::class, nullable: true, description: 'The latest; null: only marked so far.')]
        public ?Outcome $outcome,
        #[OA\Property(description: 'How often it was met.')] public int $seen,
        #[OA\Property(description: 'When last, Unix milliseconds.')] public int $seenAt,
        #[OA\Property] public bool $flagged,
        #[OA\Property] public bool $starred,
        #[OA\Property(description: 'It stands in the gap book and has not closed.')] public bool $inGapBook,
        #[OA\Property(description: 'One\'s own; empty: none.')] public string $note,
        #[OA\Property(nullable: true, description: 'Where it was met last and may be read.')] public ?string $sitting,
        #[OA\Property(nullable: true)] public ?int $position,
    ) {
    }

    public static function of(int $question, MetQuestion $met): self
    {
        return new self(
            question: $question,
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
