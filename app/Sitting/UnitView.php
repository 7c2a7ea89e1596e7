<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** What several questions share: a case with its exhibits, a passage, or the lead of a series. */
#[OA\Schema(schema: 'Unit')]
final readonly class UnitView
{
    /**
     * @param  list<ExhibitView>  $exhibits
     * @param  list<int>  $positions  of its questions, in order
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(enum: ['case', 'passage', 'series'])] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExhibitView::class))] public array $exhibits,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $positions,
    ) {
    }

    /**
     * @param  array<mixed>  $shown
     * @param  list<int>  $positions
     */
    public static function of(string $code, string $kind, array $shown, array $positions): self
    {
        /** @var list<array{title: string, body: string}> $exhibits */
        $exhibits = $shown['exhibits'] ?? [];

        return new self($code, $kind, (string) ($shown['title'] ?? ''), (string) ($shown['text'] ?? ''), array_map(fn (array $exhibit) => new ExhibitView($exhibit['title'], $exhibit['body']), $exhibits), $positions);
    }
}
