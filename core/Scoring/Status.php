<?php

declare(strict_types=1);

namespace Uplandia\Core\Scoring;

use Uplandia\Core\Statistics\Wilson;

/** Where a topic stands against the cut, by Wilson's 80 % bounds (computation.md, section 5). */
enum Status: string
{
    case Above = 'above';
    case Below = 'below';
    case Unsettled = 'unsettled';

    /**
     * @param  float  $credit  sum of credits
     * @param  int  $n  questions that count
     * @param  float  $cut  share that passes
     */
    public static function against(float $cut, float $credit, int $n): self
    {
        $bounds = Wilson::interval($credit, $n, Wilson::Z80);

        return match (true) {
            $n < 1 => self::Unsettled,
            $bounds->low >= $cut => self::Above,
            $bounds->high < $cut => self::Below,
            default => self::Unsettled,
        };
    }
}
