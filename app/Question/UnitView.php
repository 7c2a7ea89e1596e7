<?php

declare(strict_types=1);

namespace App\Question;

use Uplandia\Core\Question\UnitKind;

/** What several questions share: a case with its exhibits, a passage, or the lead of a series. */
final readonly class UnitView
{
    /**
     * @param  string  $id  Its name in this sitting.
     * @param  string  $text  Markdown.
     * @param  list<ExhibitView>  $exhibits
     * @param  list<int>  $positions  of its questions, in order
     */
    public function __construct(
        public string $id,
        public UnitKind $kind,
        public string $title,
        public string $text,
        public array $exhibits,
        public array $positions,
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
