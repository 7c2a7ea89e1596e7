<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** How a gap in the book stands. */
enum GapState: string
{
    case Open = 'open';
    /** Right at the latest look; once more on another day, and it closes. */
    case Closing = 'closing';
    case Closed = 'closed';
}
