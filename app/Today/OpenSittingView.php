<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

#[OA\Schema(schema: 'OpenSittingLine')]
final readonly class OpenSittingView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property] public bool $begun,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[OA\Property(description: 'Unix milliseconds; null: not begun.', nullable: true)] public ?int $touchedAt,
        #[OA\Property(description: 'Time has run out, and it has not been closed.')] public bool $timeUp,
        #[OA\Property(description: 'The same, and its device may still hold answers.')] public bool $waits,
    ) {
    }
}
