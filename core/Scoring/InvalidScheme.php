<?php

declare(strict_types=1);

namespace Uplandia\Core\Scoring;

/** Marks, a penalty, a cut or a scale that make no sense. */
final class InvalidScheme extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
