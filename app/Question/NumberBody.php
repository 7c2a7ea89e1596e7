<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** A number, with a unit where one is asked for. */
#[OA\Schema(schema: 'NumberBody')]
final readonly class NumberBody
{
    public function __construct(
        #[OA\Property(enum: [Kind::Number->value])] public string $kind,
        #[OA\Property(nullable: true, description: 'What stands behind the number.')] public ?string $suffix,
        #[OA\Property] public bool $asksUnit,
    ) {
    }
}
