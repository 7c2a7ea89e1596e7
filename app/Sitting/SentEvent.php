<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Named;
use Uplandia\Core\Sitting\EventKind;

/** One event as a browser sends it. Only a shape of the contract: `SentEvents` reads them. */
#[Named('SittingEvent', sent: true)]
final readonly class SentEvent
{
    /**
     * @param  string  $id  Made by the browser; sending it again does no harm.
     * @param  int  $seq  Order in which the candidate did things.
     * @param  int|null  $madeAt  By the browser's idea of the server's clock.
     * @param  mixed  $value  answered: the response or null; flagged: true or false; struck: option ids; sureness:
     *     sure, leaning, guess or null.
     */
    public function __construct(
        public string $id,
        public int $seq,
        public EventKind $kind,
        public ?int $madeAt = null,
        public ?int $position = null,
        public mixed $value = null,
    ) {
    }
}
