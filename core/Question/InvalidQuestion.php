<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Refused;

/** A question that cannot be marked as it stands: its author must mend it. */
final class InvalidQuestion extends Refused
{
}
