<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;

/** What the next test should be about: the few topics in which most of the lost marks were lost. */
final readonly class FollowUp
{
    /** As many questions as one sits down to after a test. */
    public const QUESTIONS = 10;

    private const TOPICS = 3;

    /** A further topic is taken while those before it hold less of the loss than this. */
    private const ENOUGH = '2/3';

    /**
     * @param  non-empty-list<string>  $topics  codes, the dearest first
     * @param  BigRational  $lost  marks in them
     * @param  BigRational  $lostInAll  marks in the whole test
     */
    private function __construct(public array $topics, public BigRational $lost, public BigRational $lostInAll)
    {
    }

    /**
     * @param  array<string, Group>  $groups  code of a topic => what it came to
     * @return self|null null: nothing that is marked was lost
     */
    public static function of(array $groups): ?self
    {
        $lost = array_filter(
            array_map(static fn (Group $group): BigRational => $group->totals->lost(), $groups),
            static fn (BigRational $marks): bool => $marks->getSign() > 0,
        );
        $all = BigRational::sum(BigRational::zero(), ...array_values($lost));
        uasort($lost, static fn (BigRational $one, BigRational $other): int => $other->compareTo($one));
        $topics = [];
        $sum = BigRational::zero();
        foreach ($lost as $code => $marks) {
            if (count($topics) === self::TOPICS || $sum->isGreaterThanOrEqualTo($all->multipliedBy(self::ENOUGH))) {
                break;
            }
            $topics[] = (string) $code;
            $sum = $sum->plus($marks)->simplified();
        }

        return $topics === [] ? null : new self($topics, $sum, $all->simplified());
    }
}
