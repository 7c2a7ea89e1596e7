<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** A test of a series, and what one has made of it. */
#[OA\Schema(schema: 'SeriesTest')]
final readonly class SeriesTestView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public int $questions,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property(description: 'Before extra time; null: no limit.', nullable: true)] public ?int $minutes,
        #[
            OA\Property(description: 'How often it may be sat; null: as often as one likes.', nullable: true),
        ]
        public ?int $attempts,
        #[OA\Property] public int $used,
        #[
            OA\Property(
                description: 'Share of the marks, in per cent, of the best attempt handed in.',
                nullable: true,
            ),
        ]
        public ?string $best,
        #[
            OA\Property(description: 'The sitting that waits to begin or to go on.', nullable: true),
        ]
        public ?string $waiting,
    ) {
    }
}
