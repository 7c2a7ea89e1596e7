<?php

declare(strict_types=1);

namespace App\Today;

use App\Http\Contract\Named;
use Uplandia\Core\Assembly\Mode;

#[Named('OpenSittingLine')]
final readonly class OpenSittingView
{
    /**
     * @param  int|null  $touchedAt  Unix milliseconds; null: not begun.
     * @param  int|null  $leftMs  Until its time is up, whether anybody is there or not. Null: no clock runs on.
     * @param  bool  $timeUp  Time has run out, and it has not been closed.
     * @param  bool  $waits  The same, and its device may still hold answers.
     */
    public function __construct(
        public string $id,
        public string $title,
        public Mode $mode,
        public bool $begun,
        public int $questions,
        public int $answered,
        public ?int $touchedAt,
        public ?int $leftMs,
        public bool $timeUp,
        public bool $waits,
    ) {
    }
}
