<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Media\Shelf;
use App\Workshop\QuestionEntry;
use App\Workshop\QuestionFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\TestCase;
use Uplandia\Core\Question\InvalidQuestion;

/** What an author writes in one piece is taken apart into what may be shown and what may not. */
final class QuestionEntryTest extends TestCase
{
    private const BASE = [
        'id' => 'q',
        'subtopic' => 'a.one',
        'difficulty' => 'easy',
        'stem' => 'Well?',
        'rationale' => 'So.',
        'references' => ['a'],
    ];

    private static function shelf(): Shelf
    {
        return Shelf::of(__DIR__.'/../kinds');
    }

    /**
     * @param  array<string, mixed>  $parts
     * @return array<string, mixed>
     */
    private static function entry(array $parts): array
    {
        return QuestionEntry::of($parts + self::BASE, self::shelf());
    }

    public function test_options_get_names_that_say_nothing_and_lose_their_reasons(): void
    {
        $entry = self::entry([
            'kind' => 'several',
            'limit' => 2,
            'options' => [
                ['text' => 5, 'why' => 'w1'],
                ['text' => 'B', 'why' => 'w2', 'key' => true, 'pinned' => true],
            ],
        ]);

        [$five, $b] = array_column($entry['shown']['options'], 'id');
        self::assertMatchesRegularExpression('/^[b-z2-9]{7}$/', $five);
        self::assertSame(
            [['id' => $five, 'text' => '5'], ['id' => $b, 'text' => 'B', 'pinned' => true]],
            $entry['shown']['options'],
        );
        self::assertSame(['w1', 'w2'], array_values($entry['withheld']['why']));
        self::assertSame([$b], $entry['withheld']['keys']);
        self::assertSame(2, $entry['shown']['limit']);
    }

    public function test_a_grid_is_true_or_false_and_rows_may_weigh_differently(): void
    {
        $entry = self::entry([
            'kind' => 'true_false_grid',
            'rows' => [
                ['text' => 'A', 'key' => true, 'why' => 'w', 'weight' => 2],
                ['text' => 'B', 'key' => false, 'why' => 'w'],
            ],
        ]);

        self::assertSame(
            [['id' => 'true', 'text' => 'True'], ['id' => 'false', 'text' => 'False']],
            $entry['shown']['choices'],
        );
        [$a, $b] = array_column($entry['shown']['rows'], 'id');
        self::assertSame([$a => 'true', $b => 'false'], $entry['withheld']['keys']);
        self::assertSame([$a => '2'], $entry['withheld']['weights']);
        self::assertSame(['id', 'text'], array_keys($entry['shown']['rows'][0]));
    }

    public function test_the_order_of_items_is_kept_and_not_shown(): void
    {
        $entry = self::entry([
            'kind' => 'ordering',
            'items' => array_map(fn (int $i): array => ['text' => "step {$i}", 'why' => "w{$i}"], range(1, 6)),
        ]);

        self::assertCount(6, $entry['withheld']['order']);
        self::assertNotSame($entry['withheld']['order'], array_column($entry['shown']['items'], 'id'));
        self::assertSame('w1', $entry['withheld']['why'][$entry['withheld']['order'][0]]);
    }

    public function test_a_number_shows_whether_it_wants_a_unit_and_hides_the_rest(): void
    {
        $with = self::entry([
            'kind' => 'number',
            'value' => 4,
            'units' => ['km' => '1'],
            'check' => '4',
            'slips' => [['value' => 5, 'why' => 'w']],
        ]);
        $without = self::entry([
            'kind' => 'number',
            'value' => '0.5',
            'suffix' => 'm',
            'check' => '1/2',
            'slips' => [['value' => '5', 'why' => 'w']],
        ]);

        self::assertSame([true, null], [$with['shown']['asksUnit'] ?? null, $without['shown']['asksUnit'] ?? null]);
        self::assertSame('m', $without['shown']['suffix']);
        self::assertSame(
            ['5', '5'],
            [$with['withheld']['slips'][0]['value'], $without['withheld']['slips'][0]['value']],
        );
        self::assertSame([], array_intersect_key($with['shown'], array_flip(['value', 'units', 'check', 'slips'])));
    }

    public function test_a_picture_gets_its_address_its_size_and_its_regions(): void
    {
        $entry = self::entry([
            'kind' => 'picture',
            'picture' => ['file' => 'dot.svg', 'alt' => 'A dot'],
            'targets' => [['region' => 'dot', 'why' => 'w']],
            'decoys' => [['polygon' => [[0, 0], [1, 0], [0, 1]], 'why' => 'w']],
        ]);

        self::assertMatchesRegularExpression('#^/media/[0-9a-f]{32}\.svg$#', $entry['shown']['picture']['file']);
        self::assertSame(
            [200, 100, 1],
            [$entry['shown']['picture']['width'], $entry['shown']['picture']['height'], $entry['shown']['points']],
        );
        self::assertSame(
            ['name' => 'dot', 'why' => 'w', 'circle' => [0.5, 0.5, 0.05], 'aspect' => '100/200'],
            array_diff_key($entry['withheld']['targets'][0], ['id' => 0]),
        );
        self::assertArrayHasKey('polygon', $entry['withheld']['decoys'][0]);
    }

    public function test_gaps_and_rubrics_are_taken_apart(): void
    {
        $gaps = self::entry([
            'kind' => 'typed_gaps',
            'stem' => '[[1]] and [[2]]',
            'gaps' => [
                1 => ['accepted' => ['one'], 'why' => 'w'],
                2 => ['accepted' => ['two'], 'allow_slip' => true, 'why' => 'w', 'weight' => 3],
            ],
        ]);
        $written = self::entry([
            'kind' => 'written',
            'rubric' => [['text' => 'A', 'why' => 'w'], ['text' => 'B', 'points' => 2, 'why' => 'w']],
            'model' => 'M',
        ]);

        [$one, $two] = array_column($gaps['shown']['gaps'], 'id');
        self::assertSame("[[{$one}]] and [[{$two}]]", $gaps['shown']['stem']);
        self::assertSame(['accepted' => ['two'], 'allow_slip' => true], $gaps['withheld']['gaps'][$two]);
        self::assertSame([$two => '3'], array_map(strval(...), $gaps['withheld']['weights']));
        self::assertSame([1, 2], array_column($written['withheld']['rubric'], 'points'));
        self::assertCount(2, array_unique(array_column($written['withheld']['rubric'], 'id')));
        self::assertArrayNotHasKey('rubric', $written['shown']);
    }

    public function test_a_series_shares_its_options_and_pins_them(): void
    {
        [$one] = QuestionFile::questions([
            'unit' => 'series',
            'id' => 's',
            'options' => ['x' => 'Ex', 'y' => 'Why'],
            'questions' => [self::BASE + ['key' => 'y', 'why' => ['x' => 'w1', 'y' => 'w2']]],
        ]);

        self::assertSame(
            [
                ['text' => 'Ex', 'why' => 'w1', 'pinned' => true],
                ['text' => 'Why', 'why' => 'w2', 'pinned' => true, 'key' => true],
            ],
            $one['options'],
        );
        $entry = QuestionEntry::of($one, self::shelf(), unit: 's', place: 1);
        self::assertSame(
            [$entry['shown']['options'][1]['id'], 's', 1],
            [$entry['withheld']['key'], $entry['unit'], $entry['place']],
        );
    }

    public function test_texts_mention_files_by_name_and_are_stored_with_their_addresses(): void
    {
        $entry = self::entry([
            'stem' => 'See ![A dot](dot.svg "Written version: a dot") and ![lost](lost.svg).',
            'options' => [['text' => '![A dot](dot.svg)', 'why' => 'w', 'key' => true], ['text' => 'b', 'why' => 'w']],
        ]);
        $address = self::shelf()->address('dot.svg');

        self::assertSame(
            "See ![A dot]({$address} \"Written version: a dot\") and ![lost](lost.svg).",
            $entry['shown']['stem'],
        );
        self::assertSame("![A dot]({$address})", $entry['shown']['options'][0]['text']);
        self::assertSame(
            [
                ['file' => 'dot.svg', 'alt' => 'A dot', 'written' => 'Written version: a dot'],
                ['file' => 'lost.svg', 'alt' => 'lost', 'written' => ''],
            ],
            Shelf::mentions(
                $entry['shown']['stem'] === ''
                    ? ''
                    : 'See ![A dot](dot.svg "Written version: a dot") and ![lost](lost.svg).',
            ),
        );
    }

    public function test_a_file_that_changes_gets_another_address(): void
    {
        $folder = sys_get_temp_dir().'/uplandia-shelf-'.getmypid();
        @mkdir("{$folder}/pictures", 0777, true);
        file_put_contents("{$folder}/pictures/a.svg", '<svg viewBox="0 0 10 5"/>');
        $before = Shelf::of($folder)->address('a.svg');
        file_put_contents("{$folder}/pictures/a.svg", '<svg viewBox="0 0 10 6"/>');
        file_put_contents("{$folder}/pictures/notes.txt", 'no picture');

        self::assertNotSame($before, Shelf::of($folder)->address('a.svg'));
        self::assertSame([10, 6], Shelf::of($folder)->size('a.svg'));
        self::assertFalse(Shelf::of($folder)->has('notes.txt'));
        self::assertNull(Shelf::of($folder)->size('b.svg'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no stem' => [['stem' => ''], '"stem" is missing'];
        yield 'a kind that does not exist' => [['kind' => 'riddle'], 'no such kind'];
        yield 'an option without a reason' => [
            ['options' => [['text' => 'a', 'key' => true]]],
            'Every option needs a text and a reason',
        ];
        yield 'no key' => [
            ['options' => [['text' => 'a', 'why' => 'w'], ['text' => 'b', 'why' => 'w']]],
            'Exactly one option',
        ];
        yield 'a row without a reason' => [
            ['kind' => 'matching', 'choices' => ['x' => 'X', 'y' => 'Y'], 'rows' => [['text' => 'a', 'key' => 'x']]],
            'Every row needs',
        ];
        yield 'a row whose key is no choice' => [
            [
                'kind' => 'matching',
                'choices' => ['x' => 'X', 'y' => 'Y'],
                'rows' => [['text' => 'a', 'key' => 'z', 'why' => 'w']],
            ],
            'a key that is not among its choices',
        ];
        yield 'an item without a reason' => [['kind' => 'ordering', 'items' => [['text' => 'a']]], 'Every item needs'];
        yield 'the same item twice' => [
            ['kind' => 'ordering', 'items' => [['text' => 'a', 'why' => 'w'], ['text' => 'a', 'why' => 'w']]],
            'Two items have the same text',
        ];
        yield 'a gap without a reason' => [
            ['kind' => 'typed_gaps', 'gaps' => ['g' => ['accepted' => ['x']]]],
            'Every gap needs',
        ];
        yield 'a number that is none' => [
            ['kind' => 'number', 'value' => 'four', 'slips' => []],
            '"value" must be an exact number',
        ];
        yield 'a slip without a reason' => [
            ['kind' => 'number', 'value' => 4, 'slips' => [['value' => 5]]],
            'Every slip needs',
        ];
        yield 'a picture that is not there' => [
            ['kind' => 'picture', 'picture' => ['file' => 'moon.svg', 'alt' => 'x'], 'targets' => []],
            'There is no picture "moon.svg"',
        ];
        yield 'a region that is not there' => [
            [
                'kind' => 'picture',
                'picture' => ['file' => 'dot.svg', 'alt' => 'x'],
                'targets' => [['region' => 'moon', 'why' => 'w']],
            ],
            'has no region "moon"',
        ];
        yield 'a picture with nothing to point at' => [
            ['kind' => 'picture', 'picture' => ['file' => 'dot.svg', 'alt' => 'x']],
            'at least one target',
        ];
        yield 'a rubric without a reason' => [
            ['kind' => 'written', 'rubric' => [['text' => 'a']]],
            'Every point of the rubric',
        ];
        yield 'a rule that does not fit' => [
            [
                'kind' => 'ordering',
                'rule' => 'net',
                'items' => [['text' => 'a', 'why' => 'w'], ['text' => 'b', 'why' => 'w']],
            ],
            'The rule "net" does not fit',
        ];
    }

    /** @param  array<string, mixed>  $parts */
    #[DataProvider('faults')]
    public function test_each_fault_has_a_sentence(array $parts, string $words): void
    {
        $this->expectException(InvalidQuestion::class);
        $this->expectExceptionMessage($words);
        self::entry($parts);
    }
}
