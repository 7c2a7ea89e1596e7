<?php

declare(strict_types=1);

namespace App\Today;

/** What a next step is. */
enum StepKind: string
{
    case Begin = 'begin';
    case Due = 'due';
    case WeakSpots = 'weak_spots';
    case Read = 'read';
    case WentWrong = 'went_wrong';
    case Rehearse = 'rehearse';
}
