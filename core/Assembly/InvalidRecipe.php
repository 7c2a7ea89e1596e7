<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Choices from which no test can be made. */
final class InvalidRecipe extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
