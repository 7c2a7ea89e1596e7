<?php

declare(strict_types=1);

namespace App\Question;

/** Rows that each want one choice: of their own, or of those that all share. */
final readonly class RowsBody
{
    /**
     * @param  'true_false_grid'|'matching'|'grouping'|'dropdown_gaps'  $kind
     * @param  list<RowView>  $rows  in the order of this sitting; those of gaps in the order of the stem
     * @param  list<OptionView>  $choices  that all rows share
     */
    public function __construct(
        public string $kind,
        public array $rows,
        public array $choices,
    ) {
    }
}
