<?php

declare(strict_types=1);

namespace App\Question;

/** A topic as the syllabus has it. There may be hundreds, read with every request: so it is no model. */
final readonly class SyllabusTopic
{
    /**
     * @param  int|null  $parent  null: at the top
     * @param  string|null  $weight  exact percentage of the exam; subtopics have none of their own
     * @param  int  $questions  live ones that hang on it
     * @param  int  $alone  of these, how many stand alone
     */
    public function __construct(
        public int $id,
        public ?int $parent,
        public string $code,
        public string $name,
        public ?string $weight,
        public int $questions,
        public int $alone,
    ) {
    }
}
