<?php

declare(strict_types=1);

namespace App\Question;

/**
 * A formula in TeX as it is written in one line of text. Example: "F \propto \frac{v^2}{r}" → "F ∝ v²/r". What has no
 * sign of its own keeps its name, without the backslash.
 */
final class TexWords
{
    private const SIGNS = [
        'cdot' => '·', 'times' => '×', 'div' => '÷', 'pm' => '±', 'mp' => '∓', 'approx' => '≈', 'sim' => '~',
        'propto' => '∝', 'le' => '≤', 'leq' => '≤', 'ge' => '≥', 'geq' => '≥', 'ne' => '≠', 'neq' => '≠',
        'equiv' => '≡', 'infty' => '∞', 'to' => '→', 'rightarrow' => '→', 'Rightarrow' => '⇒', 'leftarrow' => '←',
        'circ' => '°', 'degree' => '°', 'sum' => '∑', 'prod' => '∏', 'int' => '∫', 'partial' => '∂', 'nabla' => '∇',
        'in' => '∈', 'cup' => '∪', 'cap' => '∩', 'angle' => '∠', 'perp' => '⊥', 'parallel' => '∥', 'ldots' => '…',
        'dots' => '…', 'cdots' => '…', 'prime' => '′', 'alpha' => 'α', 'beta' => 'β', 'gamma' => 'γ', 'delta' => 'δ',
        'epsilon' => 'ε', 'varepsilon' => 'ε', 'zeta' => 'ζ', 'eta' => 'η', 'theta' => 'θ', 'kappa' => 'κ',
        'lambda' => 'λ', 'mu' => 'μ', 'nu' => 'ν', 'xi' => 'ξ', 'pi' => 'π', 'rho' => 'ρ', 'sigma' => 'σ',
        'tau' => 'τ', 'phi' => 'φ', 'varphi' => 'φ', 'chi' => 'χ', 'psi' => 'ψ', 'omega' => 'ω', 'Gamma' => 'Γ',
        'Delta' => 'Δ', 'Theta' => 'Θ', 'Lambda' => 'Λ', 'Pi' => 'Π', 'Sigma' => 'Σ', 'Phi' => 'Φ', 'Psi' => 'Ψ',
        'Omega' => 'Ω',
    ];

    /** Spaces, and what only says how large or in which face something is set. */
    private const SPACES = [',', ';', ':', ' ', 'quad', 'qquad', 'space'];

    private const UNSAID = [
        '!', 'left', 'right', 'big', 'Big', 'bigl', 'bigr', 'displaystyle', 'limits', 'mathrm', 'mathbf', 'mathit',
        'text', 'textrm', 'textbf', 'textit', 'operatorname', 'boldsymbol', 'vec', 'overline', 'bar', 'hat',
    ];

    private const RAISED = [
        '0' => '⁰', '1' => '¹', '2' => '²', '3' => '³', '4' => '⁴', '5' => '⁵', '6' => '⁶', '7' => '⁷', '8' => '⁸',
        '9' => '⁹', '+' => '⁺', '−' => '⁻', '(' => '⁽', ')' => '⁾', 'n' => 'ⁿ', 'i' => 'ⁱ', '°' => '°', '′' => '′',
    ];

    private const LOWERED = [
        '0' => '₀', '1' => '₁', '2' => '₂', '3' => '₃', '4' => '₄', '5' => '₅', '6' => '₆', '7' => '₇', '8' => '₈',
        '9' => '₉', '+' => '₊', '−' => '₋', '(' => '₍', ')' => '₎', 'a' => 'ₐ', 'e' => 'ₑ', 'i' => 'ᵢ', 'n' => 'ₙ',
        'o' => 'ₒ', 'x' => 'ₓ',
    ];

    /** How deep braces may lie in each other; what lies deeper is told as it stands. */
    private const DEEPEST = 20;

    private int $at = 0;

    /** @param  list<string>  $signs  one by one */
    private function __construct(private readonly array $signs)
    {
    }

    public static function of(string $tex): string
    {
        preg_match_all('/\\\\[a-zA-Z]+|\\\\.|[^\\\\]|\\\\$/us', $tex, $found);
        $words = (new self($found[0]))->whole(0);

        return trim((string) preg_replace(['/\s+/u', '/(\p{L}{2}) \(/u'], [' ', '$1('], $words));
    }

    /** Up to the brace that closes, or to the end. */
    private function whole(int $depth): string
    {
        $words = '';
        while ($this->at < count($this->signs) && $this->signs[$this->at] !== '}') {
            $words .= $this->one($depth);
        }

        return $words;
    }

    /** One sign, with what belongs to it. */
    private function one(int $depth): string
    {
        $sign = $this->signs[$this->at++] ?? '';
        if ($sign === '{' && $depth < self::DEEPEST) {
            $words = $this->whole($depth + 1);
            $this->at++;

            return $words;
        }
        if ($sign !== '' && $sign[0] === '\\') {
            return $this->command(substr($sign, 1) ?: ' ', $depth);
        }

        return match ($sign) {
            '^' => self::set($this->one($depth), self::RAISED, '^'),
            '_' => self::set($this->one($depth), self::LOWERED, '_'),
            '-' => '−',
            '~', '&' => ' ',
            '{', '}' => '',
            default => $sign,
        };
    }

    private function command(string $name, int $depth): string
    {
        return match (true) {
            in_array($name, ['frac', 'tfrac', 'dfrac'], true) => self::together($this->one($depth)).'/'.
                self::together($this->one($depth)),
            $name === 'sqrt' => '√'.self::together($this->one($depth)),
            in_array($name, self::SPACES, true) => ' ',
            in_array($name, self::UNSAID, true) => '',
            isset(self::SIGNS[$name]) => self::SIGNS[$name],
            $name === '\\' => ' ',
            // A function stands apart from what is before and after it.
            ctype_alpha($name) => " {$name} ",
            default => $name,
        };
    }

    /** In parentheses, unless it is one thing anyway. */
    private static function together(string $words): string
    {
        $words = trim($words);

        return preg_match('/^[\p{L}\p{N}.,°′²³₀-₉]*$/u', $words) === 1 ? $words : "({$words})";
    }

    /** @param  array<int|string, string>  $signs */
    private static function set(string $words, array $signs, string $else): string
    {
        $words = trim($words);
        $set = array_map(static fn (string $sign): ?string => $signs[$sign] ?? null, mb_str_split($words));

        return in_array(null, $set, true) ? $else.self::together($words) : implode('', $set);
    }
}
