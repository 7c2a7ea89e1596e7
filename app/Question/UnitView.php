<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\UnitKind;

/** What several questions share: a case with its exhibits, a passage, or the lead of a series. */
#[OA\Schema(schema: 'Unit')]
final readonly class UnitView
{
    /**
     * @param  list<ExhibitView>  $exhibits
     * @param  list<int>  $positions  of its questions, in order
     */
    public function __construct(
        #[OA\Property(description: 'Its name in this sitting.')] public string $id,
        #[OA\Property(enum: UnitKind::class)] public UnitKind $kind,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExhibitView::class))] public array $exhibits,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $positions,
    ) {
    }

    /** The name of a unit in a sitting says where it begins, and nothing of how its author calls it. */
    public static function idAt(int $position): string
    {
        return "unit-{$position}";
    }

    /**
     * @param  array<mixed>  $shown
     * @param  non-empty-list<int>  $positions
     */
    public static function of(UnitKind $kind, array $shown, array $positions): self
    {
        /** @var list<array{title: string, body: string}> $exhibits */
        $exhibits = $shown['exhibits'] ?? [];

        return new self(
            id: self::idAt(min($positions)),
            kind: $kind,
            title: is_string($shown['title'] ?? null) ? $shown['title'] : '',
            text: is_string($shown['text'] ?? null) ? $shown['text'] : '',
            exhibits: array_map(
                fn (array $exhibit) => new ExhibitView($exhibit['title'], $exhibit['body']),
                $exhibits,
            ),
            positions: $positions,
        );
    }
}
