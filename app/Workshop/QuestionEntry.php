<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Media\Shelf;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question;

/**
 * One question as its author writes it, with key and reason beside each part, taken apart into what a candidate may
 * see
 * while sitting (`shown`) and what not (`withheld`). Parts get lasting names.
 *
 * @phpstan-type Entry array{
 *     code: string, topic: string, kind: string, difficulty: string, marks: string, tags: array<string, string>,
 *     unit: string|null, place: int, shown: array<string, mixed>, withheld: array<string, mixed>
 * }
 */
final class QuestionEntry
{
    /** Fields that a candidate must not see while sitting. */
    private const HIDDEN = [
        'rationale',
        'references',
        'rule',
        'value',
        'absolute',
        'relative',
        'units',
        'slips',
        'decoys',
        'model',
        'check',
        'evidence',
    ];

    private const OWN_COLUMNS = ['id', 'subtopic', 'kind', 'difficulty', 'marks', 'tags'];

    /** Parts that are written with what must not be shown, and are taken apart below. */
    private const PARTS = ['options', 'rows', 'items', 'gaps', 'targets', 'rubric', 'choices', 'picture'];

    /** @var array<string, mixed> */
    private array $shown;

    /** @var array<string, mixed> */
    private array $withheld;

    /** @param  array<mixed>  $question */
    private function __construct(
        private readonly array $question,
        private readonly Kind $kind,
        private readonly Shelf $shelf,
        private readonly PartNames $names,
    ) {
        $hidden = array_flip(self::HIDDEN);
        $this->shown = array_diff_key($question, $hidden, array_flip(self::OWN_COLUMNS), array_flip(self::PARTS));
        $this->withheld = array_intersect_key($question, $hidden);
    }

    /**
     * @param  array<mixed>  $question
     * @param  PartNames|null  $names  with the parts of the version before; null: all are new
     * @param  string|null  $unit  code of the case, passage set or series it belongs to
     * @param  int  $place  in its unit, from 0
     * @return Entry
     *
     * @throws InvalidQuestion
     */
    public static function of(
        array $question,
        Shelf $shelf,
        ?PartNames $names = null,
        ?string $unit = null,
        int $place = 0,
    ): array {
        foreach (['id', 'subtopic', 'difficulty', 'stem', 'rationale'] as $needed) {
            if (! is_string($question[$needed] ?? null) || $question[$needed] === '') {
                throw InvalidQuestion::because("\"{$needed}\" is missing.");
            }
        }
        $kind =
            Kind::tryFrom(is_string($question['kind'] ?? null) ? $question['kind'] : 'single') ??
            throw InvalidQuestion::because('There is no such kind of question.');
        $entry = new self(question: $question, kind: $kind, shelf: $shelf, names: $names ?? new PartNames());
        $entry->takeApart();
        Question::of($kind, $entry->shown, $entry->withheld);

        return [
            'code' => $question['id'],
            'topic' => $question['subtopic'],
            'kind' => $kind->value,
            'difficulty' => $question['difficulty'],
            'marks' => (string) ($question['marks'] ?? 1),
            'tags' => (array) ($question['tags'] ?? []),
            'unit' => $unit,
            'place' => $place,
            'shown' => $shelf->linked($entry->shown),
            'withheld' => $shelf->linked($entry->withheld),
        ];
    }

    /** @throws InvalidQuestion */
    private function takeApart(): void
    {
        match ($this->kind) {
            Kind::Single, Kind::Several => $this->options(),
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => $this->rows(),
            Kind::Ordering => $this->ordering(),
            Kind::TypedGaps => $this->gaps(),
            Kind::Number => $this->number(),
            Kind::Picture => $this->picture(),
            Kind::Written => $this->rubric(),
        };
    }

    private function options(): void
    {
        $options = $this->parts('options', 'Every option needs a text and a reason why it is right or wrong.');
        $ids = $this->named('options', $options);
        $shown = $why = $keys = [];
        foreach ($options as $i => $option) {
            $pinned = ($option['pinned'] ?? false) === true ? ['pinned' => true] : [];
            $shown[] = ['id' => $ids[$i], 'text' => (string) $option['text']] + $pinned;
            $why[$ids[$i]] = $option['why'];
            if (($option['key'] ?? false) === true) {
                $keys[] = $ids[$i];
            }
        }
        $this->shown['options'] = $shown;
        $this->withheld['why'] = $why;
        if ($this->kind === Kind::Single) {
            $this->withheld['key'] =
                count($keys) === 1
                    ? $keys[0]
                    : throw InvalidQuestion::because('Exactly one option must be marked `key: true`.');
        } else {
            $this->withheld['keys'] = $keys;
        }
    }

    private function rows(): void
    {
        $shared = [];
        if ($this->kind === Kind::TrueFalseGrid) {
            // These two say of themselves what they are.
            $shared = ['true' => 'true', 'false' => 'false'];
            $this->shown['choices'] = [['id' => 'true', 'text' => 'True'], ['id' => 'false', 'text' => 'False']];
        } elseif (isset($this->question['choices'])) {
            [$this->shown['choices'], $shared] = $this->choices('choices', $this->question['choices']);
        }
        $rows = $this->parts('rows', 'Every row needs a text, a key and a reason.');
        $ids =
            $this->kind === Kind::DropdownGaps
                ? $this->marked(array_map(fn (array $row): string => (string) ($row['id'] ?? ''), $rows))
                : $this->named('rows', $rows);
        $shown = $keys = $why = $weights = [];
        foreach ($rows as $i => $row) {
            [$own, $byName] = isset($row['choices'])
                ? $this->choices("choices of {$ids[$i]}", $row['choices'])
                : [null, $shared];
            $shown[] =
                ['id' => $ids[$i], 'text' => (string) $row['text']] + ($own === null ? [] : ['choices' => $own]);
            $key = is_bool($row['key'] ?? null) ? ($row['key'] ? 'true' : 'false') : (string) ($row['key'] ?? '');
            $keys[$ids[$i]] = $byName[$key] ?? $key;
            $why[$ids[$i]] = $row['why'];
            if (isset($row['weight'])) {
                $weights[$ids[$i]] = (string) $row['weight'];
            }
        }
        $this->shown['rows'] = $shown;
        $this->withheld += ['keys' => $keys, 'why' => $why] + ($weights === [] ? [] : ['weights' => $weights]);
    }

    private function ordering(): void
    {
        $items = $this->parts('items', 'Every item needs a text and a reason for its place.');
        if (count(array_unique(array_column($items, 'text'))) !== count($items)) {
            throw InvalidQuestion::because('Two items have the same text, so their order cannot be told.');
        }
        $ids = $this->named('items', $items);
        $shown = array_map(
            fn (string $id, array $item): array => ['id' => $id, 'text' => (string) $item['text']],
            $ids,
            $items,
        );
        // Items are written in their right order; they are kept in one that says nothing, the same in every bank.
        $print = fn (array $item): string => hash('sha256', $item['text']);
        usort($shown, fn (array $one, array $other): int => $print($one) <=> $print($other));
        $this->shown['items'] = $shown;
        $this->withheld += ['order' => $ids, 'why' => array_combine($ids, array_column($items, 'why'))];
    }

    private function gaps(): void
    {
        $written = (array) ($this->question['gaps'] ?? []);
        $ids = $this->marked(array_map(strval(...), array_keys($written)));
        $gaps = $why = $weights = [];
        foreach (array_values($written) as $i => $gap) {
            if (! is_array($gap) || ! is_string($gap['why'] ?? null)) {
                throw InvalidQuestion::because('Every gap needs accepted answers and a reason.');
            }
            $gaps[$ids[$i]] = array_diff_key($gap, ['why' => 0, 'weight' => 0]);
            $why[$ids[$i]] = $gap['why'];
            if (isset($gap['weight'])) {
                $weights[$ids[$i]] = (string) $gap['weight'];
            }
        }
        $this->shown['gaps'] = array_map(fn (string $id): array => ['id' => $id], $ids);
        $this->withheld += ['gaps' => $gaps, 'why' => $why] + ($weights === [] ? [] : ['weights' => $weights]);
    }

    /**
     * Names for gaps, put into the stem in place of the marks that their author gave them.
     *
     * @param  list<string>  $marks
     * @return list<string>
     */
    private function marked(array $marks): array
    {
        $ids = $this->names->of('gaps', $marks);
        $byMark = array_combine($marks, $ids);
        $this->withheld['marks'] = array_combine($ids, $marks);
        $this->shown['stem'] = preg_replace_callback(
            '/\[\[(\w+)\]\]/',
            fn (array $mark): string => isset($byMark[$mark[1]]) ? "[[{$byMark[$mark[1]]}]]" : $mark[0],
            (string) $this->shown['stem'],
        );

        return $ids;
    }

    /**
     * @param  list<array<mixed>>  $parts
     * @return list<string>
     */
    private function named(string $sort, array $parts, string $text = 'text'): array
    {
        return $this->names->of($sort, array_map(fn (array $part): string => (string) ($part[$text] ?? ''), $parts));
    }

    private function number(): void
    {
        if (($this->withheld['units'] ?? []) !== []) {
            $this->shown['asksUnit'] = true;
        }
        $this->withheld['slips'] = array_map(
            fn (array $slip): array => ['value' => (string) $slip['value'], 'why' => $slip['why']],
            $this->parts('slips', 'Every slip needs a value and a reason why it is wrong.', 'value'),
        );
    }

    private function picture(): void
    {
        $picture = is_array($this->question['picture'] ?? null) ? $this->question['picture'] : [];
        $file = is_string($picture['file'] ?? null) ? $picture['file'] : '';
        [$width, $height] =
            $this->shelf->size($file) ??
            throw InvalidQuestion::because("There is no picture \"{$file}\" with a view box.");
        $this->shown['picture'] = [
            'file' => $this->shelf->address($file),
            'alt' => (string) ($picture['alt'] ?? ''),
            'width' => $width,
            'height' => $height,
        ];
        $sorts = ['targets' => 'Every target needs a reason.', 'decoys' => 'Every decoy needs a reason.'];
        foreach ($sorts as $sort => $otherwise) {
            $regions = $this->parts($sort, $otherwise, null);
            $names = array_map(fn (array $part): string => (string) ($part['region'] ?? json_encode($part)), $regions);
            $ids = $this->names->of($sort, $names);
            $this->withheld[$sort] = [];
            foreach ($regions as $i => $part) {
                $shape = isset($part['region']) ? $this->shelf->region($file, (string) $part['region']) : $part;
                if ($shape === null) {
                    throw InvalidQuestion::because("The picture \"{$file}\" has no region \"{$part['region']}\".");
                }
                $this->withheld[$sort][] =
                    ['id' => $ids[$i], 'name' => $names[$i], 'why' => $part['why']] +
                    array_intersect_key($shape, ['circle' => 0, 'rectangle' => 0, 'polygon' => 0]) +
                    (isset($shape['circle']) ? ['aspect' => "{$height}/{$width}"] : []);
            }
        }
        $this->shown['points'] = count($this->withheld['targets']);
    }

    private function rubric(): void
    {
        $points = $this->parts('rubric', 'Every point of the rubric needs a text and a reason.');
        $ids = $this->named('rubric', $points);
        $rubric = array_map(
            fn (string $id, array $one): array => [
                'id' => $id,
                'text' => (string) $one['text'],
                'points' => $one['points'] ?? 1,
                'why' => $one['why'],
            ],
            $ids,
            $points,
        );
        $this->withheld['rubric'] = $rubric;
    }

    /**
     * @param  mixed  $choices  the author's name => text
     * @return array{list<array{id: string, text: string}>, array<string, string>} choices; their ids by the author's
     *   names
     */
    private function choices(string $sort, mixed $choices): array
    {
        $texts = array_map(strval(...), is_array($choices) ? $choices : []);
        $ids = $this->names->of($sort, array_values($texts));
        $list = array_map(
            fn (string $id, string $text): array => ['id' => $id, 'text' => $text],
            $ids,
            array_values($texts),
        );

        return [$list, array_combine(array_map(strval(...), array_keys($texts)), $ids)];
    }

    /**
     * @return list<array<mixed>>
     *
     * @throws InvalidQuestion
     */
    private function parts(string $name, string $otherwise, ?string $needed = 'text'): array
    {
        return array_values(
            array_map(
                fn (mixed $part): array => is_array($part) &&
                is_string($part['why'] ?? null) &&
                ($needed === null || is_scalar($part[$needed] ?? null))
                    ? $part
                    : throw InvalidQuestion::because($otherwise),
                (array) ($this->question[$name] ?? []),
            ),
        );
    }
}
