<?php

declare(strict_types=1);

namespace App\Sitting;

/** How far a sitting has come. What it is doing at a moment is the core's Status. */
enum Stage: string
{
    case NotStarted = 'not_started';
    case Open = 'open';
    case HandedIn = 'handed_in';
}
