<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

enum Leaning: string
{
    case OverConfident = 'over_confident';
    case UnderConfident = 'under_confident';
    case Neither = 'neither';
}
