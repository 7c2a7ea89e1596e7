<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Shift;

/** How a share of marks changed from an earlier sitting to a later one. */
#[OA\Schema(schema: 'Shift')]
final readonly class ShiftView
{
    public function __construct(
        #[OA\Property(description: 'Later less earlier, −1 to 1.')] public float $by,
        #[OA\Property(description: 'Of it, 95 %.')] public float $low,
        #[OA\Property(description: 'Of it, 95 %.')] public float $high,
        #[OA\Property(description: 'It rests on enough, and is more than chance.')] public bool $clear,
    ) {
    }

    public static function of(?Shift $shift): ?self
    {
        return $shift === null
            ? null
            : new self(
                by: $shift->by->difference,
                low: $shift->by->within->low,
                high: $shift->by->within->high,
                clear: $shift->clear,
            );
    }
}
