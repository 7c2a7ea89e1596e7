<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** The chance c of being right by luck. Source: computation.md, section 8. */
final class Luck
{
    /** One of its options for a single answer, else none. Example: four options → 0.25. */
    public static function of(Question $question): float
    {
        return $question instanceof Single ? 1 / count($question->options) : 0.0;
    }
}
