<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

/** What came of one question. */
enum Outcome: string
{
    case Right = 'right';
    case Partly = 'partly';
    case Missed = 'missed';
    case LeftBlank = 'left_blank';
    case Pending = 'pending';
}
