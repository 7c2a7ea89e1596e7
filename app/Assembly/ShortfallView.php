<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** Why a test cannot be made as asked, and the ways out. */
#[OA\Schema(schema: 'Shortfall')]
final readonly class ShortfallView
{
    /** @param  list<GainView>  $gains  largest first */
    public function __construct(
        #[OA\Property(description: 'All of it in words.')] public string $sentence,
        #[OA\Property(description: 'Why, without the ways out.')] public string $reason,
        #[OA\Property(nullable: true, description: 'The nearest smaller count that can be made.')] public ?int $below,
        #[OA\Property(nullable: true, description: 'The nearest larger count that can be made.')] public ?int $above,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GainView::class))] public array $gains,
    ) {
    }
}
