<?php

declare(strict_types=1);

namespace App\Revisit;

/** Which cards to list. */
enum CardsWanted: string
{
    case All = 'all';
    case Due = 'due';
    case Suspended = 'suspended';
}
