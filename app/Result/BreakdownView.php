<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A result by one thing that its questions have in common. */
#[OA\Schema(schema: 'Breakdown')]
final readonly class BreakdownView
{
    /** @param  list<GroupView>  $groups */
    public function __construct(
        #[OA\Property(description: 'topic, section, difficulty, kind, or "tag:" and a family of tags.')]
        public string $by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GroupView::class))] public array $groups,
    ) {
    }
}
