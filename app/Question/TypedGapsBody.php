<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** Gaps of the stem to be typed in. */
#[OA\Schema(schema: 'TypedGapsBody')]
final readonly class TypedGapsBody
{
    /** @param  list<string>  $gaps  ids, as the stem marks them */
    public function __construct(
        #[OA\Property(enum: [Kind::TypedGaps->value])] public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $gaps,
    ) {
    }
}
