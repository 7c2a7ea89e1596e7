<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** How a response earns credit (computation.md, section 1). */
enum Rule: string
{
    case AllOrNothing = 'all_or_nothing';
    case Net = 'net';
    case Hits = 'hits';
    case EachOption = 'each_option';
    case Each = 'each';
    case Neighbours = 'neighbours';
    case Pairs = 'pairs';
}
