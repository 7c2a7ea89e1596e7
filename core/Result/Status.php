<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** Where a topic stands against the cut (computation.md, section 5). */
enum Status: string
{
    case Above = 'above';
    case Below = 'below';
    case Unsettled = 'unsettled';
}
