<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** A candidate's cards of one exam. */
#[OA\Schema(schema: 'Cards')]
final readonly class CardsView
{
    /** @param  list<CardView>  $cards */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(format: 'date')] public string $today,
        #[OA\Property(description: 'All there are.')] public int $all,
        #[OA\Property(description: 'Today, and overdue.')] public int $due,
        #[OA\Property] public int $suspended,
        #[OA\Property(format: 'date', nullable: true, description: 'When the next one after today comes back.')]
        public ?string $next,
        #[OA\Property(description: 'That were looked for.')] public int $found,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CardView::class), description: 'The longest due first.')]
        public array $cards,
    ) {
    }
}
