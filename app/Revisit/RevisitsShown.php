<?php

declare(strict_types=1);

namespace App\Revisit;

/** Which revisits are looked at. */
enum RevisitsShown: string
{
    case Due = 'due';
    case Coming = 'coming';
    case Suspended = 'suspended';
}
