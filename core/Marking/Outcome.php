<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

/** What came of one question. */
enum Outcome: string
{
    case Right = 'right';
    case Partly = 'partly';
    case Missed = 'missed';
    /** It was on screen, and there is no answer. */
    case LeftBlank = 'left_blank';
    /** It never was on screen: blank in the marks of its sitting, and nothing anywhere else. */
    case NotReached = 'not_reached';
    /** A written answer that is not marked yet. */
    case Pending = 'pending';

    /** Whether there was a response, marked or not. */
    public function wasAnswered(): bool
    {
        return $this !== self::LeftBlank && $this !== self::NotReached;
    }
}
