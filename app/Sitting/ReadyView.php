<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use App\Assembly\PaperView;
use OpenApi\Attributes as OA;

/** Tests that need no building: rehearsals, papers, series. */
#[OA\Schema(schema: 'Ready')]
final readonly class ReadyView
{
    /**
     * @param  list<ExamSectionView>  $sections
     * @param  list<PaperView>  $papers
     * @param  list<SeriesView>  $series
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(description: 'Of the whole exam, before extra time.')] public int $minutes,
        #[OA\Property] public int $questions,
        #[OA\Property] public string $extraTime,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamSectionView::class))] public array $sections,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PaperView::class))] public array $papers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeriesView::class))] public array $series,
    ) {
    }
}
