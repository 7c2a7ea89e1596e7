<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Uplandia\Core\Refused;

/** A response that cannot belong to the question: refused, never marked wrong. */
final class MalformedResponse extends Refused
{
    public static function unknown(string $what, string $id): self
    {
        $named = mb_strimwidth($id, 0, 40, '…');

        return self::because(
            "The response names {$what} \"{$named}\", which this question does not have.",
            'unknown_part',
        );
    }
}
