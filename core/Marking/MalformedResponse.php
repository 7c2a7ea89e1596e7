<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

/** A response that cannot belong to the question: refused, never marked wrong. */
final class MalformedResponse extends \InvalidArgumentException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }

    public static function unknown(string $what, string $id): self
    {
        return new self("The response names {$what} \"".mb_strimwidth($id, 0, 40, '…').'", which this question does not have.');
    }
}
