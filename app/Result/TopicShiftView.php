<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A topic in two sittings. */
#[OA\Schema(schema: 'TopicShift')]
final readonly class TopicShiftView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(ref: GroupView::class, nullable: true, description: 'Null: nothing of it was asked.')]
        public ?GroupView $earlier,
        #[OA\Property(ref: GroupView::class, nullable: true, description: 'Null: nothing of it was asked.')]
        public ?GroupView $later,
        #[OA\Property(ref: ShiftView::class, nullable: true, description: 'Null: one of them says nothing.')]
        public ?ShiftView $shift,
    ) {
    }
}
