<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Refused;

/** Choices from which no test can be made. */
final class InvalidRecipe extends Refused
{
}
