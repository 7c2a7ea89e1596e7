<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

/** All pages of an exam's handbook, in order: for a device that takes it along. */
#[OA\Schema(schema: 'WholeHandbook')]
final readonly class WholeHandbookView
{
    /** @param  list<SectionView>  $sections */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SectionView::class))] public array $sections,
    ) {
    }
}
