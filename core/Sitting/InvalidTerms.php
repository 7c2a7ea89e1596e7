<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

use Uplandia\Core\Refused;

/** Terms under which no sitting can run. */
final class InvalidTerms extends Refused
{
}
