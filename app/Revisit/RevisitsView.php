<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;

/** What comes back, and when. */
final readonly class RevisitsView
{
    /**
     * @param  int  $due  Today, and overdue.
     * @param  int  $coming  After today.
     * @param  list<DueDayView>  $days  Today with what is overdue, and the four weeks after it; none later than the
     *     day before the exam.
     * @param  int  $later  After those days.
     * @param  list<RevisitView>  $revisits  The longest due first.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        #[Day] public string $today,
        #[Day] public ?string $examDate,
        public int $due,
        public int $coming,
        public int $suspended,
        public array $days,
        public int $later,
        public int $page,
        public int $pages,
        public array $revisits,
    ) {
    }
}
