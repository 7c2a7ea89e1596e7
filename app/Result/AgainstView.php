<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** Two sittings held against each other, the earlier first. */
#[OA\Schema(schema: 'Against')]
final readonly class AgainstView
{
    /**
     * @param  list<TopicShiftView>  $topics
     * @param  list<MetAgainView>  $again
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property(ref: SideView::class)] public SideView $earlier,
        #[OA\Property(ref: SideView::class)] public SideView $later,
        #[OA\Property(ref: ShiftView::class, nullable: true, description: 'Null: one of them says nothing.')]
        public ?ShiftView $shift,
        #[OA\Property(description: 'One of them is adaptive: whoever knows more is asked what is harder, so no shares are compared.')]
        public bool $adaptive,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TopicShiftView::class), description: 'In the order of the blueprint.')]
        public array $topics,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MetAgainView::class), description: 'In the order of the later.')]
        public array $again,
    ) {
    }
}
