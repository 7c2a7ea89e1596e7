<?php

declare(strict_types=1);

namespace App\MyData;

use OpenApi\Attributes as OA;

/** What an archive brought. */
#[OA\Schema(schema: 'TakenIn')]
final readonly class TakenInView
{
    /** @param  list<string>  $exams  by name */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $exams,
        #[OA\Property] public int $sittings,
        #[OA\Property] public int $cards,
        #[OA\Property] public int $notes,
    ) {
    }
}
