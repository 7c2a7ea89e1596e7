<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** A sitting in the list of all. */
#[OA\Schema(schema: 'TestLine')]
final readonly class TestLineView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property] public bool $onPaper,
        #[OA\Property(enum: Stage::class)] public Stage $state,
        #[OA\Property(description: 'Time has run out, and it has not been closed.')] public bool $timeUp,
        #[OA\Property(description: 'The same, and its device may still hold answers.')] public bool $waits,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[
            OA\Property(description: 'Marks of the whole, in per cent; null: not handed in, or adaptive.', nullable: true),
        ]
        public ?string $share,
        #[OA\Property] public int $madeAt,
        #[
            OA\Property(description: 'When it was handed in, else last worked on.', nullable: true),
        ]
        public ?int $touchedAt,
        #[OA\Property(description: 'Whether it can be made again with fresh questions.')] public bool $fresh,
        #[OA\Property(description: 'Whether its questions can be sat again as they are.')] public bool $same,
        #[OA\Property(description: 'Whether its candidate made it, and so can share it.')] public bool $mine,
        #[OA\Property(description: 'By which it is shared now.', nullable: true)] public ?string $code,
        #[OA\Property(description: 'To be compared; null: it is not shared.', nullable: true)] public ?bool $agrees,
    ) {
    }
}
