<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Chance;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Sitting\Sureness;

/** What a simulated person did with one question. */
final readonly class SimulatedAnswer
{
    /**
     * @param  string|null  $option  for single answers
     * @param  list<string>  $struck  options ruled out
     */
    public function __construct(
        public int $item,
        public bool $right,
        public ?string $option,
        public int $ms,
        public Sureness $sureness,
        public array $struck,
    ) {
    }

    /**
     * What it looks like on the page: a response that can be marked.
     *
     * @param  list<string>  $slips  wrong numbers that people come to, for numbers
     * @return array<string, mixed>
     */
    public function response(Question $question, Chance $chance, array $slips = []): array
    {
        return match (true) {
            $this->option !== null => ['choice' => $this->option],
            $this->right => $question->right($chance),
            default => $question->wrong($chance, $slips),
        };
    }
}
