<?php

declare(strict_types=1);

namespace App\Result;

/** What a part of an explained question is. */
enum PartRole: string
{
    case Option = 'option';
    case Row = 'row';
    case Gap = 'gap';
    case Item = 'item';
    case Number = 'number';
    /** A wrong number that people come to. */
    case Slip = 'slip';
    case Target = 'target';
    /** Another place on a picture that the reasons speak of. */
    case Decoy = 'decoy';
}
