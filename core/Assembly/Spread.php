<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** How the questions of a test are spread over the chosen topics. */
enum Spread: string
{
    case Blueprint = 'blueprint';
    case Available = 'available';
    case Even = 'even';
    case ByHand = 'by_hand';
}
