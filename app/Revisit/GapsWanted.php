<?php

declare(strict_types=1);

namespace App\Revisit;

use Uplandia\Core\Revisit\GapState;

/** Which gaps are looked at; null: any, of the state those that have not closed. */
final readonly class GapsWanted
{
    public function __construct(
        public ?string $topic,
        public ?string $cause,
        public ?string $section,
        public ?GapState $state,
    ) {
    }
}
