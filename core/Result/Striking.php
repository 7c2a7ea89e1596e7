<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** What ruling options out led to. Source: computation.md, section 5. */
final readonly class Striking
{
    private function __construct(
        /** Questions in which something was ruled out. */
        public int $questions,
        /** Of them, how often the key itself was. */
        public int $keyStruck,
        /** Questions narrowed to two options, and the mean credit on them; null: none. */
        public int $narrowedToTwo,
        public ?float $accuracyNarrowed,
    ) {
    }

    /** @param  list<QuestionResult>  $answers */
    public static function of(array $answers): self
    {
        $questions = $keyStruck = $narrowed = 0;
        $credit = 0.0;
        foreach ($answers as $answer) {
            if ($answer->ruledOut() === []) {
                continue;
            }
            $questions++;
            $keyStruck += $answer->ruledOutKey() ? 1 : 0;
            if ($answer->isNarrowedToTwo() && $answer->credit->wasAnswered()) {
                $narrowed++;
                $credit += $answer->share();
            }
        }

        return new self(
            questions: $questions,
            keyStruck: $keyStruck,
            narrowedToTwo: $narrowed,
            accuracyNarrowed: $narrowed === 0 ? null : $credit / $narrowed,
        );
    }
}
