<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use App\Assembly\PaperView;

/** Tests that need no building: rehearsals, papers, series. */
final readonly class ReadyView
{
    /**
     * @param  int  $minutes  Of the whole exam, before extra time.
     * @param  list<ExamSectionView>  $sections
     * @param  list<PaperView>  $papers
     * @param  list<SeriesView>  $series
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public int $minutes,
        public int $questions,
        public string $extraTime,
        public array $sections,
        public array $papers,
        public array $series,
    ) {
    }
}
