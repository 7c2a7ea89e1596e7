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
        $rapid = count(array_filter($answers, static fn (QuestionResult $answer): bool => $answer->isRapidGuess()));
        $read = ! self::isClickedThrough($rapid, $totals);
        // What was never read says nothing of a topic, of pace or of fading.
        $facts = [
            ...self::facts($answers, $totals),
            ...$read ? self::factsOfPace($answers) : [],
            ...$read ? self::factsOfTopics($answers, $cut->toFloat()) : [],
        ];
        usort($facts, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return new self(self::opening($totals, $cut, $rapid), array_slice(array_column($facts, 1), 0, self::FACTS));
    }

    /** @param  int  $rapid  rapid guesses */
    public static function isClickedThrough(int $rapid, Totals $totals): bool
    {
        return $rapid > 0 && $rapid >= self::RAPID * $totals->answered();
    }

    private static function opening(Totals $totals, BigRational $cut, int $rapid): string
    {
        $share = $totals->shareOfAll();
        if ($share === null || $totals->answered() === 0) {
            return 'Nothing was answered, so there is nothing to read from this test yet.';
        }
        if ($totals->pending > 0) {
            return Shown::count($totals->pending, 'written answer waits', 'written answers wait').
                ' to be marked; until then this is part of the picture.';
        }
        if (! $totals->counts()) {
            return "You answered {$totals->answered()} of {$totals->questions}, so read this as a sample, not as a result.";
        }
        if (self::isClickedThrough($rapid, $totals)) {
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
    private static function facts(array $answers, Totals $totals): array
    {
        $sureness = SurenessReport::of($answers);
        $changes = Changes::of($answers);
        $striking = Striking::of($answers);
        $blank = $totals->leftBlank + $totals->notReached;

        return self::weighty([
            [
                1.6 * $sureness->footing['false_footing'],
                Shown::count($sureness->footing['false_footing'], 'answer was', 'answers were').
                    ' sure and wrong. Begin the review there.',
            ],
            [
                $sureness->leaning() === Leaning::OverConfident
                    ? 1.4 * $sureness->n * (float) $sureness->calibration
                    : 0,
                self::surerThanRight($sureness),
            ],
            [
                0.7 * $sureness->footing['lucky_step'],
                Shown::count($sureness->footing['lucky_step'], 'right answer was', 'right answers were').
                    ' a guess: the marks are there, the ground is not yet.',
            ],
            [$blank, self::unanswered($totals)],
            [
                1.2 * $changes->rightToWrong - $changes->wrongToRight,
                Shown::count($changes->rightToWrong, 'right answer was', 'right answers were').
                    ' changed to a wrong one.',
            ],
            [
                0.8 * ($changes->wrongToRight - $changes->rightToWrong),
                'Second thoughts helped: '.
                    Shown::count($changes->wrongToRight, 'answer was', 'answers were').
                    ' mended.',
            ],
            [
                1.3 * $striking->keyStruck,
                'The right option was ruled out in '.Shown::count($striking->keyStruck, 'question', 'questions').'.',
            ],
        ]);
    }

    private static function unanswered(Totals $totals): string
    {
        $left = Shown::count($totals->leftBlank, 'question was', 'questions were').' left blank';
        $never = Shown::count($totals->notReached, 'question was', 'questions were').' not reached';

        return match (true) {
            $totals->notReached === 0 => "{$left}.",
            $totals->leftBlank === 0 => "{$never}.",
            default => "{$left}, {$totals->notReached} not reached.",
        };
    }

    private static function surerThanRight(SurenessReport $sureness): string
    {
        $stated = $credit = 0.0;
        foreach ($sureness->levels as $level) {
            $stated += $level->n * (float) $level->stated;
            $credit += $level->n * (float) $level->accuracy;
        }
        $n = max(1, $sureness->n);

        return sprintf(
            'By what you said, you were right in %d %% of %d answers; it was %d %%.',
            round((100 * $stated) / $n),
            $sureness->n,
            round((100 * $credit) / $n),
        );
    }

    /**
     * @param  list<QuestionResult>  $answers
     * @return list<array{float, string}>
     */
    private static function factsOfPace(array $answers): array
    {
        $timing = Timing::of($answers);

        return self::weighty([
            [
                1.1 * count($timing->fastAndMissed),
                Shown::count(count($timing->fastAndMissed), 'miss was', 'misses were').
                    ' quick, faster than you usually are.',
            ],
            [
                $timing->fades() ? count($answers) / 8 : 0,
                sprintf(
                    'Accuracy fell from %d %% in the first quarter to %d %% in the last.',
                    round(100 * (float) $timing->quarters[0]),
                    round(100 * (float) $timing->quarters[3]),
                ),
            ],
        ]);
    }

    /**
     * @param  list<QuestionResult>  $answers
     * @return list<array{float, string}>
     */
    private static function factsOfTopics(array $answers, float $cut): array
    {
        $facts = [];
        foreach (Breakdown::by($answers, 'topic', $cut) as $group) {
            if ($group->totals->questions < self::FEW_IN_TOPIC) {
                continue;
            }
            $earned = Shown::decimal($group->totals->marks).' of '.Shown::decimal($group->totals->possible);
            $facts[] = match ($group->against->status) {
                Status::Below => [
                    $group->totals->possible->minus($group->totals->marks)->toFloat(),
                    "{$group->name} cost you marks: ".str_replace('-', self::MINUS, $earned).' earned.',
                ],
                Status::Above => [0.3 * $group->totals->questions * 0.5, "{$group->name} holds: {$earned} marks."],
                Status::Unsettled => [0, ''],
            };
        }

        return self::weighty($facts);
    }

    /**
     * @param  list<array{int|float, string}>  $facts
     * @return list<array{float, string}> only those that bear on anything
     */
    private static function weighty(array $facts): array
    {
        return array_values(
            array_filter(
                array_map(static fn (array $fact): array => [(float) $fact[0], $fact[1]], $facts),
                static fn (array $fact): bool => $fact[0] > 0,
            ),
        );
    }
}
