<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Question\Exam;

/** All that is kept of what the cohort of an exam did. Never in a request: it reads all of it. */
final readonly class CohortRenewal
{
    public function __construct(
        private ItemStatisticsStore $statistics,
        private CohortScaleStore $scale,
        private CohortMarks $marks,
    ) {
    }

    /** @return int how many versions of questions have statistics now */
    public function renew(Exam $exam): int
    {
        $versions = $this->statistics->renew($exam);
        $this->scale->renew($exam);
        $this->marks->renew($exam);

        return $versions;
    }
}
