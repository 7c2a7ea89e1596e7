<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** How far an adaptive test can go in a bank. */
#[OA\Schema(schema: 'AdaptiveOffer')]
final readonly class AdaptiveOfferView
{
    /** @param  list<AdaptiveChoiceView>  $choices  shortest first */
    public function __construct(
        #[OA\Property(description: 'Questions that one test could ask of this bank.')] public int $reach,
        #[OA\Property(description: 'It does not end before so many.')] public int $least,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AdaptiveChoiceView::class))] public array $choices,
    ) {
    }
}
