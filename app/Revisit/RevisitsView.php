<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** What comes back, and when. */
#[OA\Schema(schema: 'Revisits')]
final readonly class RevisitsView
{
    /**
     * @param  list<DueDayView>  $days
     * @param  list<RevisitView>  $revisits
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(format: 'date')] public string $today,
        #[OA\Property(format: 'date', nullable: true)] public ?string $examDate,
        #[OA\Property(description: 'Today, and overdue.')] public int $due,
        #[OA\Property(description: 'After today.')] public int $coming,
        #[OA\Property] public int $suspended,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DueDayView::class), description: 'Today with what is overdue, and the four weeks after it; none later than the day before the exam.')]
        public array $days,
        #[OA\Property(description: 'After those days.')] public int $later,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RevisitView::class), description: 'The longest due first.')]
        public array $revisits,
    ) {
    }
}
