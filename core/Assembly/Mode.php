<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Tutor: the answer after each question. Timed: silence and a clock. Untimed: no clock, and answers when one asks. */
enum Mode: string
{
    case Tutor = 'tutor';
    case Timed = 'timed';
    case Untimed = 'untimed';

    /** Whether an answer may be checked before the end: what stands in it then is settled. */
    public function checks(): bool
    {
        return $this !== self::Timed;
    }
}
