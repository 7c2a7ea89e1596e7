<?php

declare(strict_types=1);

namespace App\Today;

final readonly class ExamsView
{
    /**
     * @param  list<ExamLinkView>  $exams
     * @param  string|null  $chosen  The one that the candidate chose last; null: none yet.
     */
    public function __construct(
        public array $exams,
        public ?string $chosen,
    ) {
    }
}
