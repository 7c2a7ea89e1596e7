<?php

declare(strict_types=1);

namespace App\Today;

enum QuickStart: string
{
    case Ten = 'ten';
    case Due = 'due';
    case Missed = 'missed';
}
