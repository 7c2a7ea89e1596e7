<?php

declare(strict_types=1);

namespace App\Handbook;

final readonly class SectionView
{
    /**
     * @param  string  $body  Markdown.
     * @param  list<StepView>  $lesson  Empty: a page only.
     */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public string $body,
        public array $lesson,
        public ?SectionLinkView $before,
        public ?SectionLinkView $after,
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
