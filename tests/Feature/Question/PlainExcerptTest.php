<?php

declare(strict_types=1);

namespace Tests\Feature\Question;

use App\Question\PlainExcerpt;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is told of a text in one line. */
final class PlainExcerptTest extends TestCase
{
    #[TestWith(['Wind: $F \propto v^2$.', 'Wind: F ∝ v².'])]
    #[TestWith(['$T_2 = T_1 - 6.5 \cdot \frac{h_2 - h_1}{1000}$', 'T₂ = T₁ − 6.5 · (h₂ − h₁)/1000'])]
    #[TestWith(['$F = \frac{L}{2\cos(\alpha/2)}$', 'F = L/(2 cos(α/2))'])]
    #[TestWith(['$235^\circ\ (\text{grid})$ and $v^{0.16}$', '235° (grid) and v^0.16'])]
    #[TestWith(['$$\sqrt{100^2 + 200^2} \approx 224$$', '√(100² + 200²) ≈ 224'])]
    #[TestWith(['$a_1*b$, **bold**, `code`, $x_{max} \unknown{y}$', 'a₁*b, bold, code, x_max unknown y'])]
    #[TestWith(['**Two** of | these, #1', 'Two of these, 1'])]
    #[TestWith(['$\frac{1}{$', '1/'])]
    #[TestWith(['\\', '\\'])]
    public function test_formulas_and_marks_are_told_in_words(string $markdown, string $told): void
    {
        self::assertSame($told, PlainExcerpt::whole($markdown));
    }

    public function test_no_formula_however_broken_takes_long_or_fails(): void
    {
        foreach (['{', '\frac', '^', '_{', '\\'] as $part) {
            self::assertIsString(PlainExcerpt::of('$x'.str_repeat($part, 2000).'x$'));
        }
    }
}
