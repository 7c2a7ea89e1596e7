<?php

declare(strict_types=1);

namespace Uplandia\Core\Calibration;

/** Data from which nothing can be estimated. */
final class InvalidData extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
