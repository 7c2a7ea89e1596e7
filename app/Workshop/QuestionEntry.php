<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Media\Shelf;
use Uplandia\Core\Question\Definition;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;

/**
 * One question as its author writes it, with key and reason beside each part, taken apart into what a candidate may see
 * while sitting (`shown`) and what not (`answer`).
 *
 * @phpstan-type Entry array{code: string, topic: string, kind: string, difficulty: string, marks: string, tags: array<string, string>, unit: string|null, place: int, shown: array<string, mixed>, answer: array<string, mixed>}
 */
final class QuestionEntry
{
    /** Fields that a candidate must not see while sitting. */
    private const HIDDEN = ['rationale', 'references', 'rule', 'value', 'absolute', 'relative', 'units', 'slips', 'decoys', 'model', 'check', 'evidence'];

    private const OWN_COLUMNS = ['id', 'subtopic', 'kind', 'difficulty', 'marks', 'tags'];

    /** Parts that are written with what must not be shown, and are taken apart below. */
    private const PARTS = ['options', 'rows', 'items', 'gaps', 'targets', 'rubric', 'choices', 'picture'];

    /** @var array<string, mixed> */
    private array $shown;

    /** @var array<string, mixed> */
    private array $answer;

    /** @param  array<mixed>  $question */
    private function __construct(private readonly array $question, private readonly Kind $kind, private readonly Shelf $shelf)
    {
        $hidden = array_flip(self::HIDDEN);
        $this->shown = array_diff_key($question, $hidden, array_flip(self::OWN_COLUMNS), array_flip(self::PARTS));
        $this->answer = array_intersect_key($question, $hidden);
    }

    /**
     * @param  array<mixed>  $question
     * @param  string|null  $unit  code of the case, passage set or series it belongs to
     * @param  int  $place  in its unit, from 0
     * @return Entry
     *
     * @throws InvalidQuestion
     */
    public static function of(array $question, Shelf $shelf, ?string $unit = null, int $place = 0): array
    {
        foreach (['id', 'subtopic', 'difficulty', 'stem', 'rationale'] as $needed) {
            if (! is_string($question[$needed] ?? null) || $question[$needed] === '') {
                throw InvalidQuestion::because("\"{$needed}\" is missing.");
            }
        }
        $kind = Kind::tryFrom(is_string($question['kind'] ?? null) ? $question['kind'] : 'single') ?? throw InvalidQuestion::because('There is no such kind of question.');
        $entry = new self($question, $kind, $shelf);
        $entry->takeApart();
        Definition::question($kind, $entry->shown, $entry->answer);

        return [
            'code' => $question['id'], 'topic' => $question['subtopic'], 'kind' => $kind->value, 'difficulty' => $question['difficulty'],
            'marks' => (string) ($question['marks'] ?? 1), 'tags' => (array) ($question['tags'] ?? []), 'unit' => $unit, 'place' => $place,
            'shown' => $shelf->linked($entry->shown), 'answer' => $shelf->linked($entry->answer),
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
        $shown = $why = $keys = [];
        foreach ($this->parts('options', 'Every option needs a text and a reason why it is right or wrong.') as $i => $option) {
            $id = chr(ord('a') + $i % 26).($i < 26 ? '' : (string) intdiv($i, 26));
            $shown[] = ['id' => $id, 'text' => (string) $option['text']] + (($option['pinned'] ?? false) === true ? ['pinned' => true] : []);
            $why[$id] = $option['why'];
            if (($option['key'] ?? false) === true) {
                $keys[] = $id;
            }
        }
        $this->shown['options'] = $shown;
        $this->answer['why'] = $why;
        if ($this->kind === Kind::Single) {
            $this->answer['key'] = count($keys) === 1 ? $keys[0] : throw InvalidQuestion::because('Exactly one option must be marked `key: true`.');
        } else {
            $this->answer['keys'] = $keys;
        }
    }

    private function rows(): void
    {
        $grid = $this->kind === Kind::TrueFalseGrid;
        if ($grid || isset($this->question['choices'])) {
            $this->shown['choices'] = $this->choices($grid ? ['true' => 'True', 'false' => 'False'] : $this->question['choices']);
        }
        $rows = $keys = $why = $weights = [];
        foreach ($this->parts('rows', 'Every row needs a text, a key and a reason.') as $i => $row) {
            $id = (string) ($row['id'] ?? 'r'.($i + 1));
            $rows[] = ['id' => $id, 'text' => (string) $row['text']] + (isset($row['choices']) ? ['choices' => $this->choices($row['choices'])] : []);
            $keys[$id] = is_bool($row['key'] ?? null) ? ($row['key'] ? 'true' : 'false') : (string) ($row['key'] ?? '');
            $why[$id] = $row['why'];
            if (isset($row['weight'])) {
                $weights[$id] = (string) $row['weight'];
            }
        }
        $this->shown['rows'] = $rows;
        $this->answer += ['keys' => $keys, 'why' => $why] + ($weights === [] ? [] : ['weights' => $weights]);
    }

    private function ordering(): void
    {
        $items = $this->parts('items', 'Every item needs a text and a reason for its place.');
        $ids = array_map(fn (array $item): string => 'i'.substr(hash('sha256', (string) $item['text']), 0, 6), $items);
        // Items are written in their right order. Shown and named by a hash of their text, they tell nothing of it.
        $shown = array_map(fn (string $id, array $item): array => ['id' => $id, 'text' => (string) $item['text']], $ids, $items);
        usort($shown, fn (array $one, array $other): int => $one['id'] <=> $other['id']);
        $this->shown['items'] = $shown;
        $this->answer += ['order' => $ids, 'why' => array_combine($ids, array_column($items, 'why'))];
    }

    private function gaps(): void
    {
        $gaps = $why = $weights = [];
        foreach ((array) ($this->question['gaps'] ?? []) as $id => $gap) {
            if (! is_array($gap) || ! is_string($gap['why'] ?? null)) {
                throw InvalidQuestion::because('Every gap needs accepted answers and a reason.');
            }
            $gaps[(string) $id] = array_diff_key($gap, ['why' => 0, 'weight' => 0]);
            $why[(string) $id] = $gap['why'];
            if (isset($gap['weight'])) {
                $weights[(string) $id] = (string) $gap['weight'];
            }
        }
        $this->shown['gaps'] = array_map(strval(...), array_keys($gaps));
        $this->answer += ['gaps' => $gaps, 'why' => $why] + ($weights === [] ? [] : ['weights' => $weights]);
    }

    private function number(): void
    {
        if (($this->answer['units'] ?? []) !== []) {
            $this->shown['asksUnit'] = true;
        }
        $this->answer['slips'] = array_map(fn (array $slip): array => ['value' => (string) $slip['value'], 'why' => $slip['why']], $this->parts('slips', 'Every slip needs a value and a reason why it is wrong.', 'value'));
    }

    private function picture(): void
    {
        $picture = is_array($this->question['picture'] ?? null) ? $this->question['picture'] : [];
        $file = is_string($picture['file'] ?? null) ? $picture['file'] : '';
        [$width, $height] = $this->shelf->size($file) ?? throw InvalidQuestion::because("There is no picture \"{$file}\" with a view box.");
        $this->shown['picture'] = ['file' => $this->shelf->address($file), 'alt' => (string) ($picture['alt'] ?? ''), 'width' => $width, 'height' => $height];
        $region = function (array $part) use ($file, $width, $height): array {
            $shape = isset($part['region']) ? $this->shelf->region($file, (string) $part['region']) ?? throw InvalidQuestion::because("The picture \"{$file}\" has no region \"{$part['region']}\".") : $part;

            return array_intersect_key($shape, ['circle' => 0, 'rectangle' => 0, 'polygon' => 0]) + ['why' => $part['why']] + (isset($shape['circle']) ? ['aspect' => "{$height}/{$width}"] : []);
        };
        $this->answer['targets'] = array_map($region, $this->parts('targets', 'Every target needs a reason.', null));
        $this->answer['decoys'] = array_map($region, $this->parts('decoys', 'Every decoy needs a reason.', null));
        $this->shown['points'] = count($this->answer['targets']);
    }

    private function rubric(): void
    {
        $rubric = array_map(fn (array $one, int $i): array => ['id' => (string) ($one['id'] ?? 'p'.($i + 1)), 'text' => (string) $one['text'], 'points' => $one['points'] ?? 1, 'why' => $one['why']], $parts = $this->parts('rubric', 'Every point of the rubric needs a text and a reason.'), array_keys($parts));
        $this->answer['rubric'] = $rubric;
    }

    /**
     * @param  mixed  $choices  id => text
     * @return list<array{id: string, text: string}>
     */
    private function choices(mixed $choices): array
    {
        $list = [];
        foreach (is_array($choices) ? $choices : [] as $id => $text) {
            $list[] = ['id' => (string) $id, 'text' => (string) $text];
        }

        return $list;
    }

    /**
     * @return list<array<mixed>>
     *
     * @throws InvalidQuestion
     */
    private function parts(string $name, string $otherwise, ?string $needed = 'text'): array
    {
        return array_values(array_map(
            fn (mixed $part): array => is_array($part) && is_string($part['why'] ?? null) && ($needed === null || is_scalar($part[$needed] ?? null)) ? $part : throw InvalidQuestion::because($otherwise),
            (array) ($this->question[$name] ?? []),
        ));
    }
}
