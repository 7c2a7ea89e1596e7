<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** Terms under which no sitting can run. */
final class InvalidTerms extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
