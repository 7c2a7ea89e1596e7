<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Tutor: the answer after each question. Timed: silence and a clock. Untimed: silence and no clock. */
enum Mode: string
{
    case Tutor = 'tutor';
    case Timed = 'timed';
    case Untimed = 'untimed';
}
