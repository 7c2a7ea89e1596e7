<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** How hard its author holds a question to be. */
enum Difficulty: string
{
    case Easy = 'easy';
    case Moderate = 'moderate';
    case Hard = 'hard';

    /** The difficulty b that the word stands for where no cohort has answered (computation.md, section 8). */
    public function b(): float
    {
        return match ($this) {
            self::Easy => -1.0,
            self::Moderate => 0.0,
            self::Hard => 1.0,
        };
    }
}
