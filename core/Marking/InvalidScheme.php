<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Uplandia\Core\Refused;

/** Marks, a penalty, a cut or a scale that make no sense. */
final class InvalidScheme extends Refused
{
}
