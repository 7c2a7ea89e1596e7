<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Section')]
final readonly class SectionView
{
    /** @param  list<StepView>  $lesson */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $body,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class), description: 'Empty: a page only.')]
        public array $lesson,
        #[OA\Property(ref: SectionLinkView::class, nullable: true)] public ?SectionLinkView $before,
        #[OA\Property(ref: SectionLinkView::class, nullable: true)] public ?SectionLinkView $after,
    ) {
    }

    public static function of(HandbookSection $section, ?HandbookSection $before, ?HandbookSection $after): self
    {
        return new self(
            code: $section->code,
            chapter: $section->chapter,
            title: $section->title,
            body: $section->body,
            lesson: array_map(
                fn (array $step): StepView => new StepView($step['title'], $step['body']),
                $section->lesson ?? [],
            ),
            before: $before === null ? null : SectionLinkView::of($before),
            after: $after === null ? null : SectionLinkView::of($after),
        );
    }
}
