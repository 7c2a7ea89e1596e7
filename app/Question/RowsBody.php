<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** Rows that each want one choice: of their own, or of those that all share. */
#[OA\Schema(schema: 'RowsBody')]
final readonly class RowsBody
{
    /**
     * @param  list<RowView>  $rows  in the order of this sitting; those of gaps in the order of the stem
     * @param  list<OptionView>  $choices  that all rows share
     */
    public function __construct(
        #[
            OA\Property(
                enum: [
                    Kind::TrueFalseGrid->value,
                    Kind::Matching->value,
                    Kind::Grouping->value,
                    Kind::DropdownGaps->value,
                ],
            ),
        ]
        public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $choices,
    ) {
    }
}
