<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

/** How a part of a question (an option, a row, a gap, a target) and what was answered there stand to each other. */
enum Verdict: string
{
    /** Answered, and rightly. */
    case Right = 'right';
    /** Answered, and wrongly. */
    case Wrong = 'wrong';
    /** It belongs to the right answer, and was not given. */
    case Missing = 'missing';
    /** Neither right nor answered. */
    case Plain = 'plain';

    public static function between(bool $key, bool $chosen): self
    {
        return match (true) {
            $key && $chosen => self::Right,
            $chosen => self::Wrong,
            $key => self::Missing,
            default => self::Plain,
        };
    }
}
