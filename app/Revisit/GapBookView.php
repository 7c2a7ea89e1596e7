<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** A candidate's own misses. */
#[OA\Schema(schema: 'GapBook')]
final readonly class GapBookView
{
    /**
     * @param  list<GapCountView>  $topics
     * @param  list<GapCountView>  $causes
     * @param  list<ReadingView>  $reading
     * @param  list<GapView>  $gaps
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property] public int $open,
        #[OA\Property] public int $closing,
        #[OA\Property] public int $closed,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapCountView::class), description: 'Of the state that is looked at, in the order of the blueprint.')]
        public array $topics,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapCountView::class), description: 'The most frequent first.')]
        public array $causes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadingView::class), description: 'In the order of the pages.')]
        public array $reading,
        #[OA\Property(description: 'That pass what is wanted.')] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapView::class), description: 'The newest first.')]
        public array $gaps,
    ) {
    }
}
