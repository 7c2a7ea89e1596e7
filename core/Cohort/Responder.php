<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Chance;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Written;

/** Puts a made-up person's right or wrong into a response that can be marked. */
final readonly class Responder
{
    public function __construct(private Chance $chance)
    {
    }

    /**
     * What a simulated answer looks like on the page.
     *
     * @param  list<string>  $slips  wrong numbers that people come to, for numbers
     * @return array<string, mixed>
     */
    public function respond(SimulatedAnswer $answer, Question $question, array $slips = []): array
    {
        return match (true) {
            $answer->option !== null => ['choice' => $answer->option],
            $answer->right => $question->right($this->chance),
            default => $question->wrong($this->chance, $slips),
        };
    }

    /**
     * The points a person gives their own written answer.
     *
     * @return array<string, string> by criterion
     */
    public function rubricMarks(Written $question, bool $right): array
    {
        return $question->rubricMarks($right, $this->chance);
    }
}
