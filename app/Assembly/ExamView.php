<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\MapOf;

/** What the real exam is. */
final readonly class ExamView
{
    /**
     * @param  string|null  $breakAfter  Name of a section; null: there is no break.
     * @param  string  $cut  In per cent.
     * @param  int  $bank  Questions in the bank.
     * @param  list<ExamSectionView>  $sections
     * @param  list<ExamTopicView>  $topics
     * @param  object  $kinds  Questions in the bank by kind.
     */
    public function __construct(
        public string $exam,
        public string $name,
        public string $summary,
        public int $minutes,
        public int $readingMinutes,
        public ?string $breakAfter,
        public int $breakMinutes,
        public bool $pausable,
        public string $cut,
        public int $scaleLow,
        public int $scaleHigh,
        public int $scaleCut,
        public int $questions,
        public string $marks,
        public int $bank,
        public array $sections,
        public array $topics,
        #[MapOf('int')] public object $kinds,
    ) {
    }
}
