<?php

declare(strict_types=1);

namespace Tests\Core\Result;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Change;
use Uplandia\Core\Result\Changes;
use Uplandia\Core\Result\Course;
use Uplandia\Core\Result\FollowUp;
use Uplandia\Core\Result\Headline;
use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\Leg;
use Uplandia\Core\Result\OwnTempo;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Result\Saving;
use Uplandia\Core\Result\Striking;
use Uplandia\Core\Result\SurenessReport;
use Uplandia\Core\Result\Tempo;
use Uplandia\Core\Sitting\PacePlan;
use Uplandia\Core\Sitting\Sureness;

/** What a result leads to: what to look at again, to read, and to sit next. */
final class StudyTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private function one(int $position, string $credit, string $topic = 'Weather', array $more = []): QuestionResult
    {
        return new QuestionResult(...($more + [
            'position' => $position,
            'labels' => ['topic' => $topic],
            'credit' => self::credit($credit),
            'scheme' => new MarkScheme(),
            'ms' => 30_000,
            'cohortMedianMs' => 60_000.0,
            'luck' => 0.25,
        ]));
    }

    private static function credit(string $letter): Credit
    {
        return match ($letter) {
            'r' => Credit::full(),
            'p' => Credit::ratio(1, 2),
            'm' => Credit::nothing(),
            'w' => Credit::pending(),
            'n' => Credit::notReached(),
            default => Credit::leftBlank(),
        };
    }

    /** @return list<QuestionResult> */
    private function all(string $letters, string $topic = 'Weather', int $from = 0, mixed ...$more): array
    {
        return array_map(
            fn (string $letter, int $i): QuestionResult => $this->one($from + $i, $letter, $topic, $more),
            str_split($letters),
            array_keys(str_split($letters)),
        );
    }

    #[TestWith(['m', 'r', 1, Change::ToRight])]
    #[TestWith(['p', 'r', 1, Change::ToRight])]
    #[TestWith(['r', 'm', 1, Change::ToWrong])]
    #[TestWith(['r', 'p', 2, Change::ToWrong])]
    #[TestWith(['m', 'p', 1, Change::StillWrong])]
    #[TestWith(['r', 'r', 2, null])]
    #[TestWith(['m', 'r', 0, null])]
    #[TestWith(['w', 'r', 1, null])]
    #[TestWith(['r', 'b', 1, null])]
    public function test_a_change_goes_from_the_first_answer_to_the_last(
        string $first,
        string $last,
        int $changes,
        ?Change $expected,
    ): void {
        $result = $this->one(0, $last, more: ['firstCredit' => self::credit($first), 'changes' => $changes]);

        self::assertSame($expected, Change::of($result));
        $counted = Changes::of([$result, $result]);
        self::assertSame(
            array_map(fn (Change $change): int => $change === $expected ? 2 : 0, Change::cases()),
            [$counted->wrongToRight, $counted->rightToWrong, $counted->wrongToWrong],
        );
    }

    /**
     * @param  list<int>  $seconds  own time
     * @param  list<int|null>  $medians  of the cohort
     * @return array{list<?Tempo>, ?float}
     */
    private function tempo(array $seconds, array $medians, string $outcomes = 'rrrrrrrrrrrr'): array
    {
        $results = array_map(
            fn (int $i, int $own, ?int $median): QuestionResult => $this->one($i, $outcomes[$i], more: [
                'ms' => 1000 * $own, 'cohortMedianMs' => $median === null ? null : 1000.0 * $median,
            ]),
            array_keys($seconds),
            $seconds,
            $medians,
        );
        $tempo = OwnTempo::of($results);

        return [array_map($tempo->on(...), $results), $tempo->asLong()];
    }

    public function test_slow_and_fast_are_for_this_person(): void
    {
        // computation.md, section 5: tau = .4055.
        [$tempos, $asLong] = $this->tempo([60, 90, 150, 35, 210, 75, 62], [45, 60, 70, 40, 90, 60, 31]);
        self::assertSame([null, null, null, Tempo::Fast, Tempo::Slow, null, null], $tempos);
        self::assertEqualsWithDelta(0.4055, log((float) $asLong), 0.00005);
        // Of fewer than five answers no tempo is told, and each goes by the others' time alone.
        [$tempos, $asLong] = $this->tempo([39, 41, 90, 91], [60, 60, 60, 60]);
        self::assertSame([[Tempo::Fast, null, null, Tempo::Slow], null], [$tempos, $asLong]);
        // What was left blank, or nobody knows the others' time of, is neither, and says nothing of the tempo.
        [$tempos, $asLong] = $this->tempo([60, 60, 60, 60, 900, 900], [60, 60, 60, 60, 60, null], 'rrrrbr');
        self::assertSame([[null, null, null, null, null, null], null], [$tempos, $asLong]);
        // Just within a seventh more or less is like others.
        self::assertNull($this->tempo([114, 114, 114, 114, 114], [100, 100, 100, 100, 100])[1]);
        self::assertNotNull($this->tempo([116, 116, 116, 116, 116], [100, 100, 100, 100, 100])[1]);
        self::assertNotNull($this->tempo([86, 86, 86, 86, 86], [100, 100, 100, 100, 100])[1]);
    }

    public function test_calibration_has_an_interval_and_is_called_only_where_that_excludes_nothing(): void
    {
        // 15 of 20 sure ones right: differences −.05 fifteen times, .95 five times.
        $report = SurenessReport::of($this->all(str_repeat('rrrm', 5), sureness: Sureness::Sure));
        $deviation = sqrt((15 * (-0.05 - 0.2) ** 2 + 5 * (0.95 - 0.2) ** 2) / 19);
        $half = 1.959963984540054 * $deviation / sqrt(20);
        self::assertEqualsWithDelta(0.2, $report->calibration, 1e-12);
        self::assertEqualsWithDelta(0.2 - $half, $report->calibrationWithin?->low, 1e-12);
        self::assertEqualsWithDelta(0.2 + $half, $report->calibrationWithin?->high, 1e-12);
        self::assertSame(Leaning::OverConfident, $report->leaning());

        // 19 say nothing yet, however they came out.
        $leaning = fn (string $letters, Sureness $sureness): Leaning => SurenessReport::of(
            $this->all($letters, sureness: $sureness),
        )->leaning();
        self::assertSame(Leaning::Neither, $leaning(str_repeat('m', 19), Sureness::Sure));
        self::assertSame(Leaning::Neither, $leaning(str_repeat('r', 19).'m', Sureness::Sure));
        self::assertSame(Leaning::UnderConfident, $leaning(str_repeat('r', 15).'mmmmm', Sureness::Guess));
        self::assertNull(SurenessReport::of($this->all('m', sureness: Sureness::Sure))->calibrationWithin);
    }

    public function test_whoever_is_surer_than_right_is_told_by_how_much(): void
    {
        $results = $this->all(str_repeat('rmr', 8), sureness: Sureness::Leaning);
        self::assertNotContains(
            'By what you said, you were right in 65 % of 24 answers; it was 67 %.',
            Headline::of($results, BigRational::of('0.65'))->facts,
        );
        $results = $this->all(str_repeat('rmp', 8), sureness: Sureness::Sure);
        self::assertContains(
            'By what you said, you were right in 95 % of 24 answers; it was 50 %.',
            Headline::of($results, BigRational::of('0.65'))->facts,
        );
    }

    public function test_what_was_clicked_through_is_not_judged_by_topic_pace_or_quarter(): void
    {
        $results = fn (int $rapid): array => [
            ...$this->all(str_repeat('r', 10), ms: 30_000),
            ...$this->all(str_repeat('m', 10), from: 10, ms: 30_000),
            ...$this->all(str_repeat('m', $rapid), 'Rope', 20, ms: 900),
        ];
        $cut = BigRational::of('0.65');
        $facts = fn (int $rapid): string => implode(' ', Headline::of($results($rapid), $cut)->facts);

        // 8 of 28 is under three in ten, 9 of 29 is not.
        self::assertStringContainsString('8 misses were quick, faster than you usually are', $facts(8));
        self::assertSame('', $facts(9));
        self::assertStringStartsWith(
            '9 of 29 answers came faster',
            Headline::of($results(9), BigRational::of('0.65'))->opening,
        );
    }

    public function test_the_course_adds_up_own_times_against_the_plan_for_the_marks_so_far(): void
    {
        $two = ['scheme' => new MarkScheme('2')];
        $results = [
            $this->one(0, 'r'),
            $this->one(1, 'm', more: $two),
            $this->one(2, 'n'),
            $this->one(3, 'b', more: $two),
        ];
        $course = Course::of($results, PacePlan::of(time: 600_000, reading: 0, reserve: 0, marks: '6'));

        self::assertEquals(
            [new Leg(0, 30_000, 100_000), new Leg(1, 60_000, 300_000), new Leg(3, 90_000, 300_000)],
            $course->legs,
        );
        self::assertSame(210_000, $course->ahead());
        self::assertEquals([new Leg(0, 30_000, null)], Course::of([$this->one(0, 'r')], null)->legs);
        self::assertNull(Course::of($results, null)->ahead());
        self::assertNull(Course::of([$this->one(0, 'n')], PacePlan::of(1000, 0, 0, '1'))->ahead());
    }

    public function test_sections_are_ranked_by_the_marks_they_would_have_saved(): void
    {
        $results = [
            $this->one(0, 'm', more: ['scheme' => new MarkScheme('1', '1/4')]),
            $this->one(1, 'p', more: ['scheme' => new MarkScheme('3')]),
            $this->one(2, 'r'),
            $this->one(3, 'b'),
            $this->one(4, 'w', more: ['scheme' => new MarkScheme('9')]),
        ];
        $savings = Saving::rank($results, [
            ['rope.knots', 'rope.knots'],
            ['rope.anchors', 'rope.knots'],
            ['maps'],
            ['sky'],
            ['maps'],
        ]);

        self::assertSame(['rope.knots', 'rope.anchors', 'sky'], array_column($savings, 'section'));
        self::assertSame(['11/4', '3/2', '1'], array_map(strval(...), array_column($savings, 'marks')));
        self::assertSame([[0, 1], [1], [3]], array_column($savings, 'positions'));
        self::assertSame([], Saving::rank($results, []));
    }

    public function test_the_next_test_is_about_the_few_topics_that_cost_most(): void
    {
        $groups = fn (QuestionResult ...$results): array => Breakdown::by(array_values($results), 'topic', 0.65);
        $next = FollowUp::of($groups(
            ...$this->all('rrrm', 'Weather'),
            ...$this->all('mmmmm', 'Rope', 4),
            ...$this->all('rmm', 'Maps', 9),
            ...$this->all('m', 'Law', 12),
        ));
        // 9 lost: five in Rope are under two thirds, with the two of Maps it is 7.
        self::assertSame(['Rope', 'Maps'], $next?->topics);
        self::assertSame(['7', '9'], [(string) $next->lost, (string) $next->lostInAll]);

        // Two of three are two thirds, and enough.
        $one = FollowUp::of($groups(...$this->all('mm', 'Rope'), ...$this->all('m', 'Maps', 2)));
        self::assertSame(['Rope'], $one?->topics);

        // Never more than three, ties to the earlier.
        $four = FollowUp::of($groups(
            ...$this->all('m', 'A'),
            ...$this->all('m', 'B', 1),
            ...$this->all('m', 'C', 2),
            ...$this->all('m', 'D', 3),
            ...$this->all('m', 'E', 4),
            ...$this->all('m', 'F', 5),
        ));
        self::assertSame(['A', 'B', 'C'], $four?->topics);
        self::assertNull(FollowUp::of($groups(...$this->all('rrw'))));
    }

    public function test_a_question_narrowed_to_two_or_without_its_key_says_so(): void
    {
        $choices = ['options' => ['a', 'b', 'c', 'd'], 'key' => 'b'];
        $narrowed = $this->one(0, 'r', more: $choices + ['struck' => ['a', 'c', 'gone']]);
        $without = $this->one(1, 'm', more: $choices + ['struck' => ['b']]);

        self::assertSame(['a', 'c'], $narrowed->ruledOut());
        self::assertSame([true, false], [$narrowed->isNarrowedToTwo(), $narrowed->ruledOutKey()]);
        self::assertSame([false, true], [$without->isNarrowedToTwo(), $without->ruledOutKey()]);
        self::assertFalse($this->one(2, 'r', more: ['options' => ['a', 'b']])->isNarrowedToTwo());
        $all = Striking::of([$narrowed, $without, $this->one(2, 'r', more: $choices)]);
        self::assertSame([2, 1, 1], [$all->questions, $all->keyStruck, $all->narrowedToTwo]);
        self::assertSame(1.0, $all->accuracyNarrowed);
    }
}
