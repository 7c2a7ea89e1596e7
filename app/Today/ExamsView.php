<?php

declare(strict_types=1);

namespace App\Today;

final readonly class ExamsView
{
    /** @param  list<ExamLinkView>  $exams */
    public function __construct(
        public array $exams,
    ) {
    }
}
