<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SectionLink')]
final readonly class SectionLinkView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Of its lesson; 0: it is a page only.')] public int $steps,
    ) {
    }

    public static function of(HandbookSection $section): self
    {
        return new self(
            code: $section->code,
            chapter: $section->chapter,
            title: $section->title,
            steps: count($section->lesson ?? []),
        );
    }
}
