<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filter\PickFilter;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;

final class RecipeTest extends TestCase
{
    private const CHOICES = [
        'version' => 1,
        'topics' => ['nav', 'wx.storm'],
        'pools' => ['missed', 'due'],
        'difficulties' => ['hard'],
        'kinds' => ['number', 'picture'],
        'tags' => ['paper' => ['2024', '2025']],
        'words' => 'lapse rate',
        'count' => 12,
        'mode' => 'timed',
        'spread' => 'even',
        'minutes' => 20,
        'plain' => true,
        'penalty' => '1/3',
        'shuffled' => false,
        'secondsEach' => null,
        'runningScore' => true,
        'asksSureness' => false,
    ];

    public function test_it_is_read_and_written_the_same(): void
    {
        $recipe = Recipe::of(self::CHOICES);
        self::assertEquals(['only' => []] + self::CHOICES, $recipe->toArray());
        self::assertSame(
            [Mode::Timed, Spread::Even, 12, 20],
            [$recipe->mode, $recipe->spread, $recipe->count, $recipe->minutes],
        );
        self::assertSame(
            [[Pool::Missed, Pool::Due], [Difficulty::Hard], [Kind::Number, Kind::Picture]],
            [
                $recipe->filters->pools(),
                $recipe->filters->get(DifficultyFilter::class)?->values,
                $recipe->filters->get(KindFilter::class)?->values,
            ],
        );
    }

    public function test_what_is_not_said_is_all_of_it(): void
    {
        $recipe = Recipe::of(['count' => 1, 'mode' => 'tutor']);
        self::assertEquals(new Filters(), $recipe->filters);
        self::assertSame(
            [Spread::Blueprint, null, null],
            [$recipe->spread, $recipe->minutes, $recipe->filters->topics()],
        );
        self::assertSame([], $recipe->filters->dropped());
    }

    public function test_each_filter_can_be_dropped_and_only_those_in_use(): void
    {
        $filters = Filters::of(self::CHOICES);
        $dropped = $filters->dropped();
        self::assertSame(array_slice(Filters::KNOWN, 0, 6), array_keys($dropped));
        foreach ($dropped as $filter => $others) {
            self::assertNull($others->get($filter));
            self::assertCount(5, $others->dropped());
        }
        self::assertSame([KindFilter::class], array_keys((new Filters(new KindFilter(Kind::Single)))->dropped()));
    }

    public function test_no_two_filters_share_a_key_and_each_reads_what_it_keeps(): void
    {
        $keys = array_map(fn (string $filter): string => $filter::key(), Filters::KNOWN);
        self::assertSame($keys, array_values(array_unique($keys)));
        $filters = Filters::of(['only' => [3, 1]] + self::CHOICES);
        self::assertSame(Filters::KNOWN, array_keys($filters->dropped()));
        self::assertEquals($filters, Filters::of($filters->toArray()));
        self::assertEquals(new Filters(), Filters::of((new Filters())->toArray()));
        self::assertSame([], (new Filters(new PoolFilter(), new PickFilter([])))->dropped());
    }

    public function test_the_same_value_twice_is_one(): void
    {
        self::assertSame(['nav'], Filters::of(['topics' => ['nav', 'nav']])->topics());
    }

    public function test_every_outcome_puts_a_question_into_one_pool_and_what_was_not_reached_stays_new(): void
    {
        self::assertSame(
            [
                'right' => 'got_it',
                'partly' => 'partly',
                'missed' => 'missed',
                'left_blank' => 'left_blank',
                'not_reached' => 'new',
                'pending' => 'to_be_marked',
            ],
            array_combine(
                array_column(Outcome::cases(), 'value'),
                array_map(fn (Outcome $outcome): string => Pool::ofOutcome($outcome)->value, Outcome::cases()),
            ),
        );
        self::assertSame(Pool::NewToMe, Pool::ofOutcome(null));
        self::assertSame(
            [null, Outcome::Pending, null],
            [Pool::NewToMe->outcome(), Pool::ToBeMarked->outcome(), Pool::Flagged->outcome()],
        );
        foreach (Pool::cases() as $pool) {
            self::assertNotSame('', $pool->words());
        }
    }

    public function test_the_least_and_the_most_that_may_be_chosen_are_taken(): void
    {
        foreach (
            [
                ['count' => 1], ['count' => 500], ['minutes' => 1], ['minutes' => 600],
                ['minutes' => null, 'secondsEach' => 5], ['minutes' => null, 'secondsEach' => 3600],
                ['penalty' => '0'], ['penalty' => '1'],
            ] as $choice
        ) {
            $choices = [...self::CHOICES, 'only' => [], ...$choice];
            self::assertEquals($choices, Recipe::of($choices)->toArray());
        }
        $byHand = static fn (array $byTopic): Recipe => Recipe::of(
            ['mode' => 'tutor', 'spread' => 'by_hand', 'byTopic' => $byTopic],
        );
        self::assertSame([1, 500], [$byHand(['nav' => 1])->count, $byHand(['nav' => 500])->count]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is chosen, the reason it is refused for */
    public static function mistakes(): iterable
    {
        yield 'no questions' => [['count' => 0], 'count'];
        yield 'too many' => [['count' => 501], 'count'];
        yield 'half a question' => [['count' => 2.5], 'malformed'];
        yield 'no topic' => [['topics' => []], 'topics'];
        yield 'topics that are no list' => [['topics' => 'nav'], 'malformed'];
        yield 'a topic that is no text' => [['topics' => [7]], 'malformed'];
        yield 'an unknown pool' => [['pools' => ['luck']], 'pools'];
        yield 'an unknown kind' => [['kinds' => ['riddle']], 'kinds'];
        yield 'an unknown difficulty' => [['difficulties' => ['fiendish']], 'difficulties'];
        yield 'an unknown mode' => [['mode' => 'nap'], 'mode'];
        yield 'an unknown spread' => [['spread' => 'thick'], 'spread'];
        yield 'no time' => [['minutes' => 0], 'minutes'];
        yield 'ten hours and more' => [['minutes' => 601], 'minutes'];
        yield 'four seconds' => [['minutes' => null, 'secondsEach' => 4], 'seconds_each'];
        yield 'an hour and a second' => [['minutes' => null, 'secondsEach' => 3601], 'seconds_each'];
        yield 'seconds and minutes' => [['secondsEach' => 60], 'seconds_each'];
        yield 'seconds without a clock' => [
            ['mode' => 'tutor', 'minutes' => null, 'secondsEach' => 60], 'seconds_each',
        ];
        yield 'tags that are no map of lists' => [['tags' => ['paper' => '2024']], 'malformed'];
        yield 'tags that are a list' => [['tags' => ['x', 'y']], 'malformed'];
        yield 'a search without end' => [['words' => str_repeat('x', 201)], 'words'];
        yield 'words that are none' => [['words' => ['a']], 'words'];
        yield 'values without end' => [['tags' => ['paper' => array_map(strval(...), range(1, 51))]], 'too_many'];
        yield 'a penalty beyond all marks' => [['penalty' => '3/2'], 'penalty'];
        yield 'a penalty that pays' => [['penalty' => '-1/4'], 'penalty'];
        yield 'a penalty that is no number' => [['penalty' => 'a lot'], 'penalty'];
        yield 'by hand, and nothing typed' => [['spread' => 'by_hand'], 'by_topic'];
        yield 'typed, and not by hand' => [['byTopic' => ['nav' => 3]], 'by_topic'];
        yield 'less than nothing by hand' => [['spread' => 'by_hand', 'byTopic' => ['nav' => -1]], 'by_topic'];
        yield 'half a question by hand' => [['spread' => 'by_hand', 'byTopic' => ['nav' => 1.5]], 'malformed'];
        yield 'a recipe from the future' => [['version' => 2], 'version'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_refused_with_a_sentence_and_a_reason(array $change, string $reason): void
    {
        try {
            Recipe::of($change + self::CHOICES);
            self::fail('It was taken.');
        } catch (InvalidRecipe $refused) {
            self::assertSame($reason, $refused->reason);
            self::assertStringEndsWith('.', $refused->getMessage());
        }
    }
}
