<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;
use Uplandia\Core\Shown;

/**
 * The sentences at the head of a result: first where it stands, then the two most useful facts. Made by rule, from
 * facts that carry their weight; the words are our own and never cheer or scold.
 */
final readonly class Headline
{
    /** Fewer questions than this are no basis for praise or worry. */
    private const FEW = 10;

    /** A topic of which fewer were asked is not spoken of. */
    private const FEW_IN_TOPIC = 3;

    private const FACTS = 2;

    /** From this share of answers on that came too fast to have been read, a result says little. */
    private const RAPID = 0.3;

    private const MINUS = "\u{2212}";

    /** @param  list<string>  $facts  at most two, the most useful first */
    private function __construct(public string $opening, public array $facts)
    {
    }

    /**
     * @param  list<QuestionResult>  $answers  in the order of the test
     * @param  BigRational  $cut  share that passes
     */
    public static function of(array $answers, BigRational $cut): self
    {
        $totals = Totals::of(QuestionResult::marked($answers));
        $facts = self::facts($answers, $totals, $cut->toFloat());
        usort($facts, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        $rapid = count(array_filter($answers, static fn (QuestionResult $answer): bool => $answer->isRapidGuess()));

        return new self(self::opening($totals, $cut, $rapid), array_slice(array_column($facts, 1), 0, self::FACTS));
    }

    private static function opening(Totals $totals, BigRational $cut, int $rapid): string
    {
        $share = $totals->shareOfAll();
        if ($share === null || $totals->answered() === 0) {
            return 'Nothing was answered, so there is nothing to read from this test yet.';
        }
        if ($totals->pending > 0) {
            return self::count($totals->pending, 'written answer waits', 'written answers wait').
                ' to be marked; until then this is part of the picture.';
        }
        if (! $totals->counts()) {
            return "You answered {$totals->answered()} of {$totals->questions}, so read this as a sample, not as a result.";
        }
        if ($rapid >= self::RAPID * $totals->answered()) {
            return "{$rapid} of {$totals->answered()} answers came faster than the questions can be read, so this says ".
                'little of what you know.';
        }
        $percent = str_replace('-', self::MINUS, Shown::wholePercent($share, $cut)).' %';
        $distance = $share->minus($cut)->toFloat();
        if ($totals->questions < self::FEW) {
            return "{$percent} of a short test: take it as a hint.";
        }

        return match (true) {
            $share->isEqualTo(1) => 'Every mark there was. Harder or newer questions will tell you more.',
            $distance >= 0.15 => "{$percent}, well above the cut.",
            $distance >= 0.03 => "{$percent}, above the cut.",
            $distance >= 0 => "{$percent}, on the cut: on another day it could go either way.",
            $distance >= -0.1 => "{$percent}, not far below the cut.",
            $distance >= -0.3 => "{$percent}, below the cut; the topics below show where the marks are.",
            default => "{$percent}. This is early ground: read the reasons before you sit the next one.",
        };
    }

    /**
     * @param  list<QuestionResult>  $answers
     * @return list<array{float, string}> weight (about how many marks it bears on), sentence
     */
    private static function facts(array $answers, Totals $totals, float $cut): array
    {
        $sureness = SurenessReport::of($answers);
        $timing = Timing::of($answers);
        $changes = Changes::of($answers);
        $striking = Striking::of($answers);
        $blank = $totals->leftBlank + $totals->notReached;
        $facts = [];
        $add = static function (float $weight, string $sentence) use (&$facts): void {
            if ($weight > 0) {
                $facts[] = [$weight, $sentence];
            }
        };

        $add(
            1.6 * $sureness->footing['false_footing'],
            self::count($sureness->footing['false_footing'], 'answer was', 'answers were').
                ' sure and wrong. Begin the review there.',
        );
        $add(
            0.7 * $sureness->footing['lucky_step'],
            self::count($sureness->footing['lucky_step'], 'right answer was', 'right answers were').
                ' a guess: the marks are there, the ground is not yet.',
        );
        $add($blank, self::count($blank, 'question was', 'questions were').' left blank.');
        $add(
            1.2 * $changes->rightToWrong - $changes->wrongToRight,
            self::count($changes->rightToWrong, 'right answer was', 'right answers were').' changed to a wrong one.',
        );
        $add(
            0.8 * ($changes->wrongToRight - $changes->rightToWrong),
            'Second thoughts helped: '.
                self::count($changes->wrongToRight, 'answer was', 'answers were').
                ' mended.',
        );
        $add(
            1.1 * count($timing->fastAndMissed),
            self::count(count($timing->fastAndMissed), 'miss was', 'misses were').
                ' quick, faster than most people read the question.',
        );
        $add(
            1.3 * $striking->keyStruck,
            'The right option was ruled out in '.self::count($striking->keyStruck, 'question', 'questions').'.',
        );
        if ($timing->fades()) {
            $add(
                count($answers) / 8,
                sprintf(
                    'Accuracy fell from %d %% in the first quarter to %d %% in the last.',
                    round(100 * (float) $timing->quarters[0]),
                    round(100 * (float) $timing->quarters[3]),
                ),
            );
        }
        foreach (Breakdown::by($answers, 'topic', $cut) as $group) {
            if ($group->totals->questions < self::FEW_IN_TOPIC) {
                continue;
            }
            $lost = $group->totals->possible->minus($group->totals->marks)->toFloat();
            if ($group->against->status === Status::Below) {
                $add(
                    $lost,
                    "{$group->name} cost you marks: ".
                        Shown::decimal($group->totals->marks).
                        ' of '.
                        Shown::decimal($group->totals->possible).
                        ' earned.',
                );
            } elseif ($group->against->status === Status::Above) {
                $add(
                    0.3 * $group->totals->questions * 0.5,
                    "{$group->name} holds: ".
                        Shown::decimal($group->totals->marks).
                        ' of '.
                        Shown::decimal($group->totals->possible).
                        ' marks.',
                );
            }
        }

        return $facts;
    }

    private static function count(int $n, string $one, string $many): string
    {
        return "{$n} ".($n === 1 ? $one : $many);
    }
}
