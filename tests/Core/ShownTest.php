<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Shown;

final class ShownTest extends TestCase
{
    #[TestWith(['2/3', null, '67'])]
    #[TestWith(['1/200', null, '1'])]
    #[TestWith(['-1/3', null, '-33'])]
    #[TestWith(['1', '0.65', '100'])]
    #[TestWith(['0.64', '0.65', '64'])]
    #[TestWith(['0.65', '0.65', '65'])]
    #[TestWith(['0.648', '0.65', '64.8'])]
    #[TestWith(['0.6499', '0.65', '64.9'])]
    #[TestWith(['0.652', '0.65', '65.2'])]
    #[TestWith(['0.6501', '0.65', '65.1'])]
    public function test_a_whole_per_cent_never_hides_on_which_side_of_the_cut_it_lies(
        string $share,
        ?string $cut,
        string $shown,
    ): void {
        $of = BigRational::of($share);

        self::assertSame($shown, Shown::wholePercent($of, $cut === null ? null : BigRational::of($cut)));
    }
}
