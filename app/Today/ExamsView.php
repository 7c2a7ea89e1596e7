<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Exams')]
final readonly class ExamsView
{
    /** @param  list<ExamLinkView>  $exams */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamLinkView::class))] public array $exams,
    ) {
    }
}
