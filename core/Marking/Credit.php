<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigRational;

/**
 * Credit for one response: an exact share from 0 to 1, or none because it was left blank, or none yet because a
 * written answer is pending. Source: computation.md, section 1.
 */
final readonly class Credit
{
    private function __construct(public ?BigRational $share, public Outcome $outcome)
    {
    }

    public static function full(): self
    {
        /** @var self|null $full */
        static $full;

        return $full ??= new self(BigRational::one(), Outcome::Right);
    }

    public static function nothing(): self
    {
        /** @var self|null $nothing */
        static $nothing;

        return $nothing ??= new self(BigRational::zero(), Outcome::Missed);
    }

    public static function leftBlank(): self
    {
        /** @var self|null $blank */
        static $blank;

        return $blank ??= new self(null, Outcome::LeftBlank);
    }

    public static function pending(): self
    {
        /** @var self|null $pending */
        static $pending;

        return $pending ??= new self(null, Outcome::Pending);
    }

    public static function when(bool $right): self
    {
        return $right ? self::full() : self::nothing();
    }

    /** Credit of part of whole, both in the same unit, 0 ≤ part ≤ whole. */
    public static function ratio(int $part, int $whole): self
    {
        return match ($part) {
            0 => self::nothing(),
            $whole => self::full(),
            default => new self(BigRational::nd($part, $whole)->simplified(), Outcome::Partly),
        };
    }

    /**
     * Credit of an exact share.
     *
     * @throws MalformedResponse when the share is outside 0 to 1
     */
    public static function of(BigRational $share): self
    {
        if ($share->getSign() < 0 || $share->isGreaterThan(1)) {
            throw MalformedResponse::because('Credit lies between 0 and 1.');
        }

        return match (true) {
            $share->getSign() === 0 => self::nothing(),
            $share->isEqualTo(1) => self::full(),
            default => new self($share->simplified(), Outcome::Partly),
        };
    }

    /** True when there was a response, marked or not. */
    public function wasAnswered(): bool
    {
        return $this->outcome !== Outcome::LeftBlank;
    }
}
