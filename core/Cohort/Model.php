<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** Rasch: one slope for all items. 2PL: each has its own. */
enum Model: string
{
    case Rasch = 'rasch';
    case TwoParameter = '2pl';
}
