<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Revisit\GapState;

/** A question in the gap book. */
#[OA\Schema(schema: 'GapEntry')]
final readonly class GapView
{
    /** @param  list<string>  $sections */
    public function __construct(
        #[OA\Property] public int $question,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property(enum: Kind::class)] public Kind $kind,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(enum: GapState::class)] public GapState $state,
        #[OA\Property(format: 'date', description: 'When it opened, or closed.')] public string $since,
        #[OA\Property(description: 'How often an answer opened it.')] public int $misses,
        #[OA\Property(description: 'When the question was met last.')] public int $seenAt,
        #[OA\Property(enum: Cause::class, nullable: true)] public ?Cause $cause,
        #[OA\Property(description: 'One\'s own; empty: none.')] public string $note,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Codes of what to read.')]
        public array $sections,
        #[OA\Property(format: 'date', nullable: true, description: 'When it comes back; null: it does not.')]
        public ?string $due,
        #[OA\Property(description: 'The question is asked no more.')] public bool $retired,
        #[OA\Property(nullable: true, description: 'Where it was met last and may be read; null: in none that is handed in.')]
        public ?string $sitting,
        #[OA\Property(nullable: true)] public ?int $position,
    ) {
    }
}
