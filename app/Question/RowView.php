<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;

/** A row that wants one choice: of its own, or of those that all rows share. */
#[OA\Schema(schema: 'Row')]
final readonly class RowView
{
    /** @param  list<OptionView>|null  $choices */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'Markdown.')] public string $text,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: OptionView::class),
                nullable: true,
                description: 'null: the question\'s choices.',
            ),
        ]
        public ?array $choices,
    ) {
    }
}
