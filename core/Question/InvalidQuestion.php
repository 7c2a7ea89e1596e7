<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** A question that cannot be marked as it stands: its author must mend it. */
final class InvalidQuestion extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
