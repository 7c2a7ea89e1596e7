<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigRational;
use Uplandia\Core\Exact;

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

    public static function notReached(): self
    {
        /** @var self|null $notReached */
        static $notReached;

        return $notReached ??= new self(null, Outcome::NotReached);
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

    /**
     * As it was stored: an outcome, and its exact share where it has one.
     *
     * @param  string|null  $share  such as "2/3"
     *
     * @throws MalformedResponse when the share does not fit
     */
    public static function stored(Outcome $outcome, ?string $share): self
    {
        return match ($outcome) {
            Outcome::LeftBlank => self::leftBlank(),
            Outcome::NotReached => self::notReached(),
            Outcome::Pending => self::pending(),
            default => self::of(Exact::parse($share) ?? throw MalformedResponse::because('Credit must be exact.')),
        };
    }

    /** True when there was a response, marked or not. */
    public function wasAnswered(): bool
    {
        return $this->outcome->wasAnswered();
    }
}
