<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Refused;

/** Data that no statistic can be made of. */
final class InvalidData extends Refused
{
}
