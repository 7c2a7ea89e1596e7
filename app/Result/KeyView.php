<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** The right answers and the reasons of a whole sitting, in its order. */
#[OA\Schema(schema: 'Key')]
final readonly class KeyView
{
    /**
     * @param  list<ExplanationView>  $answers
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExplanationView::class))] public array $answers,
    ) {
    }
}
