<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** A topic of the real exam. */
#[OA\Schema(schema: 'ExamTopic')]
final readonly class ExamTopicView
{
    /**
     * @param  list<string>  $subtopics
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'Exact, in per cent.', nullable: true)] public ?string $weight,
        #[OA\Property(description: 'In the bank.')] public int $questions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $subtopics,
    ) {
    }
}
