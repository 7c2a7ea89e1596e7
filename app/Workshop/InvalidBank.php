<?php

declare(strict_types=1);

namespace App\Workshop;

use RuntimeException;

/** A bank file that cannot be taken in; the message names the file, the question and what to mend. */
final class InvalidBank extends RuntimeException
{
    /** @param  list<string>  $faults */
    public static function with(array $faults): self
    {
        return new self(implode("\n", $faults));
    }
}
