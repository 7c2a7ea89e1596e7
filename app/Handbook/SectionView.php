<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Section')]
final readonly class SectionView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $body,
        #[OA\Property(ref: SectionLinkView::class, nullable: true)] public ?SectionLinkView $before,
        #[OA\Property(ref: SectionLinkView::class, nullable: true)] public ?SectionLinkView $after,
    ) {
    }
}
