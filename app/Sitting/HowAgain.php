<?php

declare(strict_types=1);

namespace App\Sitting;

enum HowAgain: string
{
    /** The same questions. */
    case Same = 'same';

    /** Fresh ones by the same recipe. */
    case Fresh = 'fresh';

    /** Only those that were missed, partly right or left blank. */
    case Missed = 'missed';
}
