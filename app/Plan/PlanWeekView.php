<?php

declare(strict_types=1);

namespace App\Plan;

use OpenApi\Attributes as OA;

/** A week of the plan, Monday to Sunday, or what of it lies between today and the exam. */
#[OA\Schema(schema: 'PlanWeek')]
final readonly class PlanWeekView
{
    /**
     * @param  list<PlanPartView>  $new
     * @param  list<PlanPartView>  $weak
     */
    public function __construct(
        #[OA\Property(format: 'date')] public string $from,
        #[OA\Property(format: 'date')] public string $to,
        #[OA\Property(description: 'On which one studies.')] public int $days,
        #[OA\Property(description: 'There are for it.')] public int $ms,
        #[OA\Property(description: 'That what is planned takes.')] public int $plannedMs,
        #[OA\Property(description: 'Known to be due.')] public int $revisits,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanPartView::class), description: 'Never met, in the order of the blueprint.')]
        public array $new,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanPartView::class), description: 'Where most is at stake, in the order of the blueprint.')]
        public array $weak,
        #[OA\Property(format: 'date', nullable: true, description: 'The day of a rehearsal; null: none.')]
        public ?string $rehearsal,
    ) {
    }
}
