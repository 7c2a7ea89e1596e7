<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/**
 * First answers against last ones, where they differ in outcome or both are wrong. Source: computation.md, section 5.
 */
final readonly class Changes
{
    private function __construct(public int $wrongToRight, public int $rightToWrong, public int $wrongToWrong)
    {
    }

    /** @param  list<QuestionResult>  $results */
    public static function of(array $results): self
    {
        $count = array_fill_keys(array_column(Change::cases(), 'value'), 0);
        foreach ($results as $result) {
            $change = Change::of($result);
            if ($change !== null) {
                $count[$change->value]++;
            }
        }

        return new self(
            wrongToRight: $count[Change::ToRight->value],
            rightToWrong: $count[Change::ToWrong->value],
            wrongToWrong: $count[Change::StillWrong->value],
        );
    }
}
