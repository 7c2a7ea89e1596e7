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
        $count = ['wrong-right' => 0, 'right-wrong' => 0, 'wrong-wrong' => 0];
        foreach ($results as $result) {
            if ($result->changes === 0 || $result->firstCredit?->share === null || $result->credit->share === null) {
                continue;
            }
            // Right means full credit: a half-right answer that was mended counts as wrong before.
            $word = static fn (bool $right): string => $right ? 'right' : 'wrong';
            $way =
                $word($result->firstCredit->share->isEqualTo(1)).'-'.$word($result->credit->share->isEqualTo(1));
            if (isset($count[$way])) {
                $count[$way]++;
            }
        }

        return new self($count['wrong-right'], $count['right-wrong'], $count['wrong-wrong']);
    }
}
