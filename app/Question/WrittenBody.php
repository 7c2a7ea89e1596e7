<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** A text to be written, and marked by its writer. */
#[OA\Schema(schema: 'WrittenBody')]
final readonly class WrittenBody
{
    public function __construct(#[OA\Property(enum: [Kind::Written->value])] public string $kind)
    {
    }
}
