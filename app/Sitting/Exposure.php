<?php

declare(strict_types=1);

namespace App\Sitting;

/** How somebody came to be shown a key without having answered. */
enum Exposure: string
{
    /** They asked to see it: of a question they did not get to, or the key of a test on paper. */
    case Shown = 'shown';

    /** It was taken along on a device, to be shown with each answer. */
    case TakenAlong = 'taken_along';
}
