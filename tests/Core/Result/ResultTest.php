<?php

declare(strict_types=1);

namespace Tests\Core\Result;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Changes;
use Uplandia\Core\Result\Footing;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\Headline;
use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Result\RapidGuess;
use Uplandia\Core\Result\Status;
use Uplandia\Core\Result\Striking;
use Uplandia\Core\Result\SurenessReport;
use Uplandia\Core\Result\Timing;
use Uplandia\Core\Sitting\Sureness;

final class ResultTest extends TestCase
{
    /**
     * @param  string  $results  a letter a question: r(ight), p(artly), m(issed), b(lank), w(aits)
     * @return list<QuestionResult>
     */
    private function answers(
        string $results,
        ?Sureness $sureness = null,
        string $topic = 'Weather',
        int $ms = 30_000,
        int $from = 0,
    ): array {
        return array_map(
            fn (string $letter, int $i): QuestionResult => new QuestionResult(
                position: $from + $i,
                labels: ['topic' => $topic],
                credit: $this->credit($letter),
                scheme: new MarkScheme(),
                firstCredit: $this->credit($letter),
                ms: $ms,
                cohortMedianMs: 60_000.0,
                sureness: $sureness,
                luck: 0.25,
            ),
            str_split($results),
            array_keys(str_split($results)),
        );
    }

    private function credit(string $letter): Credit
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

    public function test_a_breakdown_counts_every_question_once(): void
    {
        $groups = array_values(
            Breakdown::by([...$this->answers('rrmb'), ...$this->answers('rp', topic: 'Map', from: 4)], 'topic', 0.65),
        );

        self::assertSame(['Weather', 'Map'], array_column($groups, 'name'));
        self::assertSame(
            [4, 2, 1, 1],
            [
                $groups[0]->totals->questions,
                $groups[0]->totals->right,
                $groups[0]->totals->missed,
                $groups[0]->totals->leftBlank,
            ],
        );
        self::assertSame('3/2', (string) $groups[1]->totals->marks);
        self::assertSame(30_000.0, $groups[0]->meanMs);
        self::assertSame([], Breakdown::by($this->answers('rr'), 'season', 0.65));
    }

    public function test_calibration_and_brier_are_means_over_what_was_stated(): void
    {
        $report = SurenessReport::of([
            ...$this->answers('rrrm', Sureness::Sure),
            ...$this->answers('rm', Sureness::Leaning),
            ...$this->answers('m', Sureness::Guess),
            ...$this->answers('bw', Sureness::Sure),
        ]);

        self::assertSame(7, $report->n);
        // Stated 4·.95 + 2·.65 + .25 = 5.35, credit 4.
        self::assertEqualsWithDelta(1.35 / 7, $report->calibration, 1e-12);
        self::assertEqualsWithDelta(
            (3 * 0.05 ** 2 + 0.95 ** 2 + 0.35 ** 2 + 0.65 ** 2 + 0.25 ** 2) / 7,
            $report->brier,
            1e-12,
        );
        self::assertSame(['firm' => 3, 'false_footing' => 1, 'lucky_step' => 0, 'open_ground' => 1], $report->footing);
        self::assertNull(SurenessReport::of($this->answers('rrm'))->brier);
    }

    public function test_a_level_is_called_over_confident_only_when_its_interval_excludes_the_stated_value(): void
    {
        $report = fn (string $results) => SurenessReport::of($this->answers($results, Sureness::Sure));
        $sure = fn (string $results): Leaning => $report($results)->levels[0]->leaning;

        self::assertSame(Leaning::Neither, $sure('rrrrm'));
        self::assertSame(Leaning::OverConfident, $sure(str_repeat('rrmmr', 4)));
        $guess = SurenessReport::of($this->answers(str_repeat('r', 12), Sureness::Guess))->levels[2];
        self::assertSame([Leaning::UnderConfident, 12, 0.25], [$guess->leaning, $guess->n, $guess->stated]);
    }

    #[TestWith([Sureness::Sure, Outcome::Right, Footing::Firm])]
    #[TestWith([Sureness::Sure, Outcome::Missed, Footing::FalseFooting])]
    #[TestWith([Sureness::Guess, Outcome::Right, Footing::LuckyStep])]
    #[TestWith([Sureness::Guess, Outcome::Missed, Footing::OpenGround])]
    #[TestWith([Sureness::Leaning, Outcome::Right, null])]
    #[TestWith([Sureness::Sure, Outcome::Partly, null])]
    #[TestWith([null, Outcome::Right, null])]
    public function test_footing_is_sureness_against_outcome(
        ?Sureness $sureness,
        Outcome $outcome,
        ?Footing $footing,
    ): void {
        self::assertSame($footing, Footing::of($sureness, $outcome));
    }

    public function test_first_answers_are_held_against_last_ones(): void
    {
        $make = fn (int $position, string $first, string $last): QuestionResult => new QuestionResult(
            position: $position,
            labels: [],
            credit: $this->credit($last),
            scheme: new MarkScheme(),
            firstCredit: $this->credit($first),
            changes: 1,
        );
        $changes = Changes::of([
            $make(0, 'm', 'r'),
            $make(1, 'r', 'm'),
            $make(2, 'm', 'm'),
            $make(3, 'p', 'r'),
            new QuestionResult(
                position: 4,
                labels: [],
                credit: $this->credit('m'),
                scheme: new MarkScheme(),
                firstCredit: $this->credit('m'),
            ),
            $make(5, 'r', 'b'),
        ]);

        self::assertSame([2, 1, 1], [$changes->wrongToRight, $changes->rightToWrong, $changes->wrongToWrong]);
    }

    public function test_two_thirds_of_the_median_and_its_half_more_are_neither_quick_nor_slow(): void
    {
        $missed = fn (int $position, int $ms): QuestionResult => new QuestionResult(
            position: $position,
            labels: [],
            credit: $this->credit('m'),
            scheme: new MarkScheme(),
            firstCredit: null,
            ms: $ms,
            cohortMedianMs: 60_000.0,
        );
        $timing = Timing::of([$missed(0, 39_999), $missed(1, 40_000), $missed(2, 90_000), $missed(3, 90_001)]);

        self::assertSame([0], $timing->fastAndMissed);
    }

    public function test_what_was_not_reached_says_nothing_of_fading(): void
    {
        $timing = Timing::of($this->answers('rrrrrrnn'));

        self::assertSame([1.0, 1.0, 1.0, null], $timing->quarters);
        self::assertFalse($timing->fades());
        self::assertTrue(Timing::of($this->answers('rrrrrrbb'))->fades());
    }

    public function test_twenty_stated_answers_say_something(): void
    {
        $report = fn (int $n) => SurenessReport::of($this->answers(str_repeat('r', $n), Sureness::Sure));

        self::assertSame([true, false], [$report(19)->isThin(), $report(20)->isThin()]);
    }

    public function test_a_question_of_several_values_is_in_several_groups(): void
    {
        $of = fn (int $position, string|array $skill, string $letter): QuestionResult => new QuestionResult(
            position: $position,
            labels: ['tag:skill' => $skill],
            credit: $this->credit($letter),
            scheme: new MarkScheme(),
        );
        $groups = Breakdown::by(
            [$of(0, ['recall', 'apply'], 'r'), $of(1, ['apply'], 'm'), $of(2, 'recall', 'm'), $of(3, [], 'r')],
            'tag:skill',
            0.65,
        );

        self::assertSame([0, 2], $groups['recall']->positions);
        self::assertSame([0, 1], $groups['apply']->positions);
        self::assertCount(2, $groups);
    }

    public function test_what_was_clicked_through_is_not_judged(): void
    {
        $cut = BigRational::of('0.65');
        // Of 60 s that the cohort takes, a tenth is too fast to have read.
        $opening = fn (int $fast): string => Headline::of(
            [
                ...$this->answers(str_repeat('m', $fast), ms: 2_000),
                ...$this->answers(str_repeat('r', 20 - $fast), from: $fast),
            ],
            $cut,
        )->opening;

        self::assertSame(
            '6 of 20 answers came faster than the questions can be read, so this says little of what you know.',
            $opening(6),
        );
        self::assertSame('75 %, above the cut.', $opening(5));
    }

    public function test_a_negative_total_has_a_real_minus(): void
    {
        $answers = array_map(
            fn (int $i): QuestionResult => new QuestionResult(
                position: $i,
                labels: [],
                credit: Credit::nothing(),
                scheme: new MarkScheme('1', '1/4'),
                ms: 30_000,
            ),
            range(0, 11),
        );

        self::assertStringStartsWith("\u{2212}25 %. This is early", Headline::of($answers, BigRational::of('0.65'))->opening);
    }

    public function test_three_in_a_hundred_over_the_cut_are_above_it_and_less_is_on_it(): void
    {
        // 17 of 25 are .68.
        $opening = fn (string $cut): string => Headline::of(
            $this->answers(str_repeat('r', 17).str_repeat('m', 8)),
            BigRational::of($cut),
        )->opening;
        self::assertSame('68 %, above the cut.', $opening('0.6499'));
        self::assertSame('68 %, on the cut: on another day it could go either way.', $opening('0.6501'));
        self::assertSame('68 %, on the cut: on another day it could go either way.', $opening('0.68'));
        self::assertSame('68.0 %, not far below the cut.', $opening('0.6801'));
    }

    public function test_ten_questions_are_no_short_test(): void
    {
        $cut = BigRational::of('1/2');
        $opening = fn (string $results): string => Headline::of($this->answers($results), $cut)->opening;

        self::assertStringContainsString('short test', $opening('rrrrrrrrr'));
        self::assertStringNotContainsString('short test', $opening('rrrrrrrrrr'));
    }

    public function test_timing_names_the_slowest_the_quarters_and_quick_and_slow_misses(): void
    {
        $answers = [];
        foreach ([20, 90, 100, 30, 61, 10, 39, 91] as $i => $seconds) {
            $answers[] = new QuestionResult(
                position: $i,
                labels: [],
                credit: $this->credit('rrrrmmmm'[$i]),
                scheme: new MarkScheme(),
                firstCredit: null,
                ms: $seconds * 1000,
                cohortMedianMs: 60_000.0,
            );
        }
        $timing = Timing::of($answers);

        self::assertSame([2, 7, 1, 4, 6], $timing->slowest);
        self::assertSame([1.0, 1.0, 0.0, 0.0], $timing->quarters);
        self::assertTrue($timing->fades());
        // Of 39 seconds they are not fast, for them: they take four fifths of the others' time in all.
        self::assertSame([5], $timing->fastAndMissed);
        self::assertEqualsWithDelta(sqrt((39 / 60) * (61 / 60)), $timing->asLong, 1e-9);
        self::assertFalse(Timing::of([])->fades());
    }

    public function test_striking_counts_lost_keys_and_accuracy_between_two(): void
    {
        $make = fn (array $struck, string $result): QuestionResult => new QuestionResult(
            position: 0,
            labels: [],
            credit: $this->credit($result),
            scheme: new MarkScheme(),
            options: ['a', 'b', 'c', 'd'],
            struck: $struck,
            key: 'a',
        );
        $striking = Striking::of([
            $make(['c', 'd'], 'r'),
            $make(['a', 'd'], 'm'),
            $make(['b'], 'r'),
            $make([], 'r'),
            $make(['zz'], 'r'),
        ]);

        self::assertSame(
            [3, 1, 2, 0.5],
            [$striking->questions, $striking->keyStruck, $striking->narrowedToTwo, $striking->accuracyNarrowed],
        );
    }

    #[TestWith(['rrrrrrrrrrrrrrrrrrrr', 'Every mark there was.'])]
    #[TestWith(['rrrrrrrrrrrrrrrrrrmm', 'well above the cut.'])]
    #[TestWith(['rrrrrrrrrrrrrrmmmmmm', '70 %, above the cut.'])]
    #[TestWith(['rrrrrrrrrrrrrmmmmmmm', '65 %, on the cut'])]
    #[TestWith(['rrrrrrrrrrrrmmmmmmmm', 'not far below the cut.'])]
    #[TestWith(['rrrrrrrrmmmmmmmmmmmm', 'below the cut; the topics'])]
    #[TestWith(['rrmmmmmmmmmmmmmmmmmm', 'This is early ground'])]
    #[TestWith(['rrrbbbbbbb', 'You answered 3 of 10'])]
    #[TestWith(['rrm', 'take it as a hint.'])]
    #[TestWith(['bbb', 'Nothing was answered'])]
    #[TestWith(['rrrrrrrrrrw', '1 written answer waits to be marked'])]
    public function test_the_opening_says_where_the_result_stands(string $results, string $words): void
    {
        $headline = Headline::of($this->answers($results), BigRational::of('0.65'));

        self::assertStringContainsString($words, $headline->opening);
        self::assertStringNotContainsString('!', $headline->opening.implode($headline->facts));
    }

    public function test_the_two_most_useful_facts_are_named_and_no_more(): void
    {
        $answers = [
            ...$this->answers('mmmmmm', Sureness::Sure),
            ...$this->answers('rrrrrrrrrrr', topic: 'Map', from: 6),
            ...$this->answers('bbb', topic: 'Rope', from: 17),
        ];
        $facts = Headline::of($answers, BigRational::of('0.65'))->facts;

        self::assertCount(2, $facts);
        $thin = Headline::of(
            [...$this->answers('mm'), ...$this->answers('rr', topic: 'Map', from: 2)],
            BigRational::of('0.65'),
        );
        self::assertDoesNotMatchRegularExpression('/Weather|Map/', implode(' ', $thin->facts));
        self::assertSame('6 answers were sure and wrong. Begin the review there.', $facts[0]);
    }

    public function test_more_right_answers_spoilt_than_mended_is_a_fact_and_only_then(): void
    {
        $make = fn (string $first, string $last, int $n, int $from): array => array_map(
            fn (int $i): QuestionResult => new QuestionResult(
                position: $from + $i,
                labels: ['topic' => 'Map'],
                credit: $this->credit($last),
                scheme: new MarkScheme(),
                firstCredit: $this->credit($first),
                ms: 30_000,
                changes: 1,
            ),
            range(0, $n - 1),
        );
        $facts = fn (array $results): string => implode(' ', Headline::of($results, BigRational::of('0.65'))->facts);

        $spoilt = $facts([...$make('r', 'm', 3, 0), ...$this->answers('rrrrrrrrr', from: 3)]);
        self::assertStringContainsString('3 right answers were changed to a wrong one.', $spoilt);
        self::assertStringNotContainsString('Second thoughts', $spoilt);
        // Mended more than spoilt: the second thoughts were good ones.
        $mended = $facts([...$make('r', 'm', 1, 0), ...$make('m', 'r', 3, 1), ...$this->answers('rrrrrrrr', from: 4)]);
        self::assertStringNotContainsString('changed to a wrong one', $mended);
        self::assertStringContainsString('Second thoughts helped', $mended);
    }

    #[TestWith([['rrrr', 'rrrr', 'rrrr', 'rrrm'], true])]
    #[TestWith([['rrrrrrr', 'rrrrrrr', 'rrrrrrr', 'rrrrrrm'], false])]
    public function test_accuracy_fades_when_the_last_quarter_lies_fifteen_points_below_the_first(
        array $quarters,
        bool $fades,
    ): void {
        // 25 points below the first quarter, and 14.3.
        self::assertSame($fades, Timing::of($this->answers(implode($quarters)))->fades());
    }

    public function test_a_fall_of_exactly_fifteen_points_is_fading(): void
    {
        $quarter = fn (int $right): string => str_repeat('r', $right).str_repeat('m', 20 - $right);
        self::assertTrue(
            Timing::of($this->answers($quarter(20).$quarter(20).$quarter(20).$quarter(17)))->fades(),
        );
        self::assertFalse(
            Timing::of($this->answers($quarter(20).$quarter(20).$quarter(20).$quarter(18)))->fades(),
        );
    }

    public function test_a_blank_is_no_answer_between_two(): void
    {
        $make = fn (string $result): QuestionResult => new QuestionResult(
            position: 0,
            labels: [],
            credit: $this->credit($result),
            scheme: new MarkScheme(),
            options: ['a', 'b', 'c', 'd'],
            struck: ['c', 'd'],
            key: 'a',
        );
        $striking = Striking::of([$make('r'), $make('b'), $make('m')]);

        self::assertSame([3, 2, 0.5], [$striking->questions, $striking->narrowedToTwo, $striking->accuracyNarrowed]);
        self::assertNull(Striking::of([$make('b')])->accuracyNarrowed);
    }

    public function test_written_answers_that_wait_take_no_part_in_a_status(): void
    {
        $group = fn (string $results): Group => Breakdown::whole($this->answers($results), 0.65);

        self::assertSame(Status::Above, $group('rrrrrrwwwwww')->against->status);
        self::assertSame(1.0, $group('rrrrrrwwwwww')->against->share);
        // Four settled questions are too few, however they went.
        self::assertSame(
            [Status::Unsettled, Status::Above],
            [$group('rrrrw')->against->status, $group('rrrrr')->against->status],
        );
        self::assertSame(
            [Status::Unsettled, Status::Below],
            [$group('mmmm')->against->status, $group('mmmmm')->against->status],
        );
        self::assertNull($group('ww')->against->share);
    }

    public function test_what_was_answered_faster_than_it_can_be_read_says_nothing_of_sureness(): void
    {
        self::assertSame(
            [1, 0],
            [
                SurenessReport::of($this->answers('r', Sureness::Sure, ms: 6000))->n,
                SurenessReport::of($this->answers('r', Sureness::Sure, ms: 5999))->n,
            ],
        );
        self::assertSame([false, true], [RapidGuess::is(3000, null), RapidGuess::is(2999, null)]);
        self::assertSame(
            [false, true, false],
            [RapidGuess::is(6000, 60_000.0), RapidGuess::is(5999, 60_000.0), RapidGuess::is(3000, 20_000.0)],
        );
    }
}
