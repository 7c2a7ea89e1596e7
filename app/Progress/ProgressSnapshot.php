<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\Exam;
use App\Question\SyllabusTopic;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\PassOutlook;
use Uplandia\Core\Progress\PointsAtStake;

/**
 * What is kept of where a candidate stands: plain values, as JSON has them. Shares and chances are 0 to 1.
 *
 * @phpstan-import-type SpellKept from BestHours
 *
 * @phpstan-type TopicStands array{
 *     code: string, weight: float, share: float|null, low: float|null, high: float|null, responses: int,
 *     stake: float|null, lever: float|null
 * }
 * @phpstan-type OutlookStands array{
 *     chance: float, low: float, high: float, expected: float, questions: int, needed: int
 * }
 * @phpstan-type Stands array{
 *     topics: list<TopicStands>, responses: int, responsesMissing: int, weightTouched: float, untouched: list<string>,
 *     outlook: OutlookStands|null, hours: list<SpellKept>, minutes: list<SpellKept>
 * }
 */
final class ProgressSnapshot
{
    /** Of an exam of which nobody has written down how long it is. */
    private const QUESTIONS = 60;

    /** @return Stands */
    public static function of(Exam $exam, Estimate $estimate): array
    {
        $exact = BigRational::of((string) $exam->rules['cut']);
        $cut = $exact->toFloat();
        $known = array_filter($estimate->mastery, fn (?Mastery $mastery): bool => $mastery !== null);
        $whole = count($known) === count($estimate->topics) && $known !== [];
        $mastery = array_values($known);
        $questions = $whole ? self::questions($exam, $estimate->topics) : [];
        $needed = $exact->multipliedBy(array_sum($questions))->toScale(0, RoundingMode::UP)->toInt();
        $open = $whole && $estimate->gate->isOpen();
        $outlook = $open
            ? PassOutlook::of(ability: $estimate->ability, questions: $questions, needed: $needed, mastery: $mastery)
            : null;
        $levers = $open
            ? PassOutlook::levers(
                ability: $estimate->ability,
                questions: $questions,
                needed: $needed,
                mastery: $mastery,
                target: PointsAtStake::target($cut),
            )
            : [];

        return [
            'topics' => array_map(
                fn (int $place, SyllabusTopic $topic): array => self::topic(
                    estimate: $estimate,
                    place: $place,
                    topic: $topic,
                    cut: $cut,
                ) + [
                    'lever' => $levers[$place] ?? null,
                ],
                array_keys($estimate->topics),
                $estimate->topics,
            ),
            'responses' => array_sum($estimate->responses),
            'responsesMissing' => $estimate->gate->responsesMissing,
            'weightTouched' => $estimate->gate->weightTouched,
            'untouched' => array_map(
                fn (int $place): string => $estimate->topics[$place]->name,
                $estimate->gate->untouched,
            ),
            'outlook' => $outlook === null
                ? null
                : [
                    'chance' => $outlook->chance,
                    'low' => $outlook->range->low,
                    'high' => $outlook->range->high,
                    'expected' => $outlook->expected,
                    'questions' => array_sum($questions),
                    'needed' => $needed,
                ],
            'hours' => $estimate->bestHours->hours,
            'minutes' => $estimate->bestHours->minutes,
        ];
    }

    /**
     * @return array{
     *     code: string, weight: float, share: float|null, low: float|null, high: float|null, responses: int,
     *     stake: float|null
     * }
     */
    private static function topic(Estimate $estimate, int $place, SyllabusTopic $topic, float $cut): array
    {
        $responses = $estimate->responses[$place];
        // With fewer answers an estimate says more of the cohort than of the candidate.
        $mastery = $responses >= Estimate::SHOWN_FROM ? $estimate->mastery[$place] : null;

        return [
            'code' => $topic->code,
            'weight' => (float) $topic->weight,
            'share' => $mastery?->share,
            'low' => $mastery?->band->low,
            'high' => $mastery?->band->high,
            'responses' => $responses,
            'stake' => $mastery === null ? null : PointsAtStake::of((float) $topic->weight, $cut, $mastery->share),
        ];
    }

    /**
     * How many questions of each topic the exam asks.
     *
     * @param  list<SyllabusTopic>  $topics
     * @return list<int>
     */
    private static function questions(Exam $exam, array $topics): array
    {
        $n = $exam->hasBlueprint() ? $exam->blueprint()->questions() : self::QUESTIONS;

        return Allocation::of(
            $n,
            array_map(fn (SyllabusTopic $topic): string => $topic->weight ?? '0', $topics),
            array_fill(0, count($topics), $n),
        )->counts;
    }
}
