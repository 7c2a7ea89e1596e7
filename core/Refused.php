<?php

declare(strict_types=1);

namespace Uplandia\Core;

/**
 * What the core cannot work with. The parent of all its own exceptions: a sentence for people, a reason for machines.
 */
abstract class Refused extends \InvalidArgumentException
{
    final private function __construct(string $sentence, public readonly string $reason)
    {
        parent::__construct($sentence);
    }

    /** @param  string  $reason  such as "unknown_option" */
    public static function because(string $sentence, string $reason = 'malformed'): static
    {
        return new static($sentence, $reason);
    }
}
