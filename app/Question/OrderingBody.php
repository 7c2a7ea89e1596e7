<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** Items to be put in order. */
#[OA\Schema(schema: 'OrderingBody')]
final readonly class OrderingBody
{
    /** @param  list<OptionView>  $items  in an order of this sitting */
    public function __construct(
        #[OA\Property(enum: [Kind::Ordering->value])] public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $items,
    ) {
    }
}
