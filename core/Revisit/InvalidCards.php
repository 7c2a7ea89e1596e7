<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Refused;

/** A text of cards that cannot be read, or a card that cannot be kept. */
final class InvalidCards extends Refused
{
}
