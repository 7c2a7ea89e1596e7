<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Verdict;

/** One part of an explained question: what it is, what was answered, what is right, and why. */
#[OA\Schema(schema: 'Part')]
final readonly class PartView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: PartRole::class)] public PartRole $role,
        #[OA\Property(description: 'Markdown.')] public string $text,
        #[OA\Property(description: 'Markdown.')] public string $why,
        #[OA\Property(enum: Verdict::class)] public Verdict $verdict,
        #[
            OA\Property(nullable: true, description: 'What is right here, in words; null: the part itself says it.'),
        ]
        public ?string $right = null,
        #[
            OA\Property(
                nullable: true,
                description: 'What was answered here, in words; null: nothing, or the part itself says it.',
            ),
        ]
        public ?string $mine = null,
        #[OA\Property(description: 'The candidate had ruled it out.')] public bool $ruledOut = false,
        #[
            OA\Property(ref: RegionView::class, nullable: true, description: 'Of a target or decoy.'),
        ]
        public ?RegionView $region = null,
    ) {
    }
}
