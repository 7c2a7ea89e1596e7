<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** Why an adaptive test is over. */
enum AdaptiveEnding: string
{
    /** The interval lies above the cut. */
    case Above = 'above';

    /** The interval lies below the cut. */
    case Below = 'below';

    /** The most questions were asked, and it is not settled. */
    case Most = 'most';

    /** The bank has no more that could be asked. */
    case Spent = 'spent';
}
