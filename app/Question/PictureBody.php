<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** Places on a picture to point at. */
#[OA\Schema(schema: 'PictureBody')]
final readonly class PictureBody
{
    public function __construct(
        #[OA\Property(enum: [Kind::Picture->value])] public string $kind,
        #[OA\Property(ref: PictureView::class)] public PictureView $picture,
        #[OA\Property(description: 'How many places.')] public int $points,
    ) {
    }
}
