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

    /** @return class-string<Question> where all that a kind is stands */
    public function home(): string
    {
        return match ($this) {
            self::Single => Single::class,
            self::Several => Several::class,
            self::TrueFalseGrid, self::Matching, self::Grouping, self::DropdownGaps => Rows::class,
            self::Ordering => Ordering::class,
            self::TypedGaps => TypedGaps::class,
            self::Number => Number::class,
            self::Picture => Picture::class,
            self::Written => Written::class,
        };
    }
}
