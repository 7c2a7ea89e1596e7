<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** Why an answer went wrong, as its candidate says. */
enum Cause: string
{
    case Misread = 'misread';
    case MixedUp = 'mixed_up';
    case NeverKnew = 'never_knew';
    case WorkedOutWrong = 'worked_out_wrong';
    case Rushed = 'rushed';
    case Other = 'other';
}
