<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** The kinds of question, as stored and sent. */
enum Kind: string
{
    case Single = 'single';
    case Several = 'several';
    case TrueFalseGrid = 'true_false_grid';
    case Ordering = 'ordering';
    case Matching = 'matching';
    case Grouping = 'grouping';
    case DropdownGaps = 'dropdown_gaps';
    case TypedGaps = 'typed_gaps';
    case Number = 'number';
    case Picture = 'picture';
    case Written = 'written';
}
