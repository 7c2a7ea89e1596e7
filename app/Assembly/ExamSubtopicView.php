<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Handbook\SectionLinkView;

/** What is asked within a topic, and where to read about it. */
final readonly class ExamSubtopicView
{
    /**
     * @param  int  $questions  In the bank.
     * @param  list<SectionLinkView>  $sections  Of the handbook, those that most of its reasons refer to.
     */
    public function __construct(
        public string $code,
        public string $name,
        public int $questions,
        public array $sections,
    ) {
    }
}
