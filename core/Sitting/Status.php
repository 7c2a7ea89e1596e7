<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

enum Status: string
{
    case NotStarted = 'not_started';
    /** Everything can be looked at, nothing answered; the clock has not begun. */
    case Reading = 'reading';
    case Active = 'active';
    case Paused = 'paused';
    case OnBreak = 'on_break';
    case HandedIn = 'handed_in';
}
