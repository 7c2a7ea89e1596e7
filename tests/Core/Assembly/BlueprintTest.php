<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\PaperItem;
use Uplandia\Core\Question\Kind;

final class BlueprintTest extends TestCase
{
    private const RULES = [
        'cut' => '0.65',
        'minutes' => 60,
        'readingMinutes' => 5,
        'break' => ['after' => 'ground', 'minutes' => 5],
        'scale' => ['low' => 0, 'high' => 240, 'cut' => 160, 'step' => 5],
        'sections' => [
            [
                'code' => 'ground',
                'name' => 'Ground',
                'questions' => 4,
                'marks' => 1,
                'penalty' => '1/3',
                'kinds' => ['single'],
            ],
            ['code' => 'days', 'name' => 'Days', 'questions' => 3, 'marks' => 2, 'units' => ['case' => 1]],
        ],
    ];

    /** @return list<PaperItem> two topics of weight 75 and 25, then a case */
    private static function paper(): array
    {
        $single = static fn (string $question, int $topic): PaperItem => new PaperItem(
            question: $question,
            section: 'ground',
            topic: $topic,
            kind: Kind::Single,
        );
        $case = static fn (string $question, Kind $kind): PaperItem => new PaperItem(
            question: $question,
            section: 'days',
            topic: 0,
            kind: $kind,
            unit: 'case-1',
            unitKind: 'case',
        );

        return [
            $single('a', 0),
            $single('b', 0),
            $single('c', 0),
            $single('d', 1),
            $case('e', Kind::Number),
            $case('f', Kind::Single),
            $case('g', Kind::Written),
        ];
    }

    public function test_the_minutes_of_its_sections_add_up_to_the_time_for_answering(): void
    {
        foreach ([60, 61, 62, 67, 150] as $minutes) {
            $blueprint = Blueprint::of(['minutes' => $minutes] + self::RULES);
            $of = $blueprint->sectionMinutes();
            self::assertSame(array_column($blueprint->sections, 'code'), array_keys($of));
            self::assertSame($minutes - 5 - 5, array_sum($of));
        }
    }

    public function test_one_section_alone_has_its_share_of_the_time_for_answering(): void
    {
        // 60 − 5 reading − 5 break = 50 min for 10 marks.
        $days = Blueprint::of(self::RULES)->only('days');
        self::assertSame(
            [['days'], 30, 0, 0, null],
            [
                array_column($days->sections, 'code'),
                $days->minutes,
                $days->readingMinutes,
                $days->breakMinutes,
                $days->breakAfter,
            ],
        );
        // Part of a minute is a minute more.
        self::assertSame(21, Blueprint::of(['minutes' => 62] + self::RULES)->only('ground')->minutes);
        $rules = self::RULES;
        $rules['sections'][1]['minutes'] = 17;
        self::assertSame(17, Blueprint::of($rules)->only('days')->minutes);
        $this->expectException(InvalidRecipe::class);
        $days->only('ground');
    }

    public function test_it_says_what_an_exam_is_worth(): void
    {
        $blueprint = Blueprint::of(self::RULES);

        self::assertSame(
            [7, 60, 5, 'ground', 5],
            [
                $blueprint->questions(),
                $blueprint->minutes,
                $blueprint->readingMinutes,
                $blueprint->breakAfter,
                $blueprint->breakMinutes,
            ],
        );
        self::assertSame('10', (string) $blueprint->possible());
        self::assertSame('1/3', (string) $blueprint->section('ground')?->scheme->penalty);
        self::assertNull($blueprint->section('moon'));
        self::assertSame(160, $blueprint->scale->score(\Brick\Math\BigRational::of('0.65')));
    }

    public function test_a_paper_that_keeps_to_it_has_no_faults(): void
    {
        self::assertSame([], Blueprint::of(self::RULES)->faults(self::paper(), [75, 25]));
    }

    /** @return iterable<string, array{callable(list<PaperItem>): list<PaperItem>, string}> */
    public static function departures(): iterable
    {
        yield 'a question too few' => [
            static fn (array $paper): array => array_slice($paper, 1),
            'Section "ground" has 3 questions, not 4.',
        ];
        yield 'sections in the wrong order' => [
            static fn (array $paper): array => array_reverse($paper),
            'Its sections are not those of the blueprint, in order.',
        ];
        yield 'a kind that does not belong' => [
            static fn (array $paper): array => [
                new PaperItem(question: 'a', section: 'ground', topic: 0, kind: Kind::Number),
                ...array_slice($paper, 1),
            ],
            'a: section "ground" takes no questions of the kind number.',
        ];
        yield 'a case where questions stand alone' => [
            static fn (array $paper): array => [
                new PaperItem(
                    question: 'a',
                    section: 'ground',
                    topic: 0,
                    kind: Kind::Single,
                    unit: 'case-2',
                    unitKind: 'case',
                ),
                ...array_slice($paper, 1),
            ],
            'takes only questions that stand alone.',
        ];
        yield 'a lone question among cases' => [
            static fn (array $paper): array => [
                ...array_slice($paper, 0, 6),
                new PaperItem(question: 'g', section: 'days', topic: 0, kind: Kind::Single),
            ],
            'takes only cases, passage sets and series.',
        ];
        yield 'two cases instead of one' => [
            static fn (array $paper): array => [
                ...array_slice($paper, 0, 6),
                new PaperItem(
                    question: 'g',
                    section: 'days',
                    topic: 0,
                    kind: Kind::Single,
                    unit: 'case-2',
                    unitKind: 'case',
                ),
            ],
            'Section "days" has 2 of the sort case, not 1.',
        ];
        yield 'topics out of proportion' => [
            static fn (array $paper): array => [
                new PaperItem(question: 'a', section: 'ground', topic: 1, kind: Kind::Single),
                ...array_slice($paper, 1),
            ],
            'Section "ground" has 2 questions of topic 1; its weight asks for 3.',
        ];
        yield 'a topic left out' => [
            static fn (array $paper): array => [
                ...array_slice($paper, 0, 3),
                new PaperItem(question: 'd', section: 'ground', topic: 0, kind: Kind::Single),
                ...array_slice($paper, 4),
            ],
            'Section "ground" has 0 questions of topic 2; its weight asks for 1.',
        ];
    }

    /** @param  callable(list<PaperItem>): list<PaperItem>  $change */
    #[DataProvider('departures')]
    public function test_each_departure_is_named(callable $change, string $words): void
    {
        self::assertStringContainsString(
            $words,
            implode("\n", Blueprint::of(self::RULES)->faults($change(self::paper()), [75, 25])),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        yield 'no sections' => [['sections' => []], 'needs sections'];
        yield 'no minutes' => [['minutes' => null], '"minutes" must be a whole number'];
        yield 'a break after the last section' => [['break' => ['after' => 'days', 'minutes' => 5]], 'not the last'];
        yield 'no time for answering' => [['readingMinutes' => 55], 'leave no time'];
        yield 'a kind that does not exist' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'kinds' => ['riddle']]]],
            'no kind "riddle"',
        ];
        yield 'a unit that does not exist' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'units' => ['saga' => 1]]]],
            'case, passage and series',
        ];
        yield 'an empty section' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 0]]],
            'at least one question',
        ];
        yield 'a fraction of a unit' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'units' => ['case' => '1/3']]]],
            'must be a whole number',
        ];
        yield 'more units than there can be' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'units' => ['case' => '1e50']]]],
            'must be a whole number',
        ];
        yield 'marks without end' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'marks' => '1e999999999']]],
            'must be an exact number',
        ];
        yield 'a penalty of more than the marks' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'penalty' => '2']]],
            'from 0 to 1',
        ];
        yield 'a cut in words' => [['cut' => 'most'], 'must be an exact number'];
        yield 'reading that gives time' => [['readingMinutes' => -1], 'shorter than nothing'];
        yield 'a section of no minutes' => [
            ['sections' => [['code' => 'a', 'name' => 'A', 'questions' => 1, 'minutes' => 0]]],
            'at least a minute',
        ];
        yield 'a cut outside the scale' => [
            ['scale' => ['low' => 0, 'high' => 100, 'cut' => 100]],
            'score of the cut must lie between',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_blueprint_with_a_mistake_is_refused_with_a_sentence(array $change, string $words): void
    {
        $this->expectException(InvalidRecipe::class);
        $this->expectExceptionMessage($words);
        Blueprint::of($change + self::RULES);
    }
}
