<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Brick\Math\BigRational;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Scoring\InvalidScheme;
use Uplandia\Core\Scoring\Scale;

/** How the real exam is made up: sections, time, cut and scale. */
final readonly class Blueprint
{
    private const UNITS = ['case', 'passage', 'series'];

    /**
     * @param  list<Section>  $sections  in the order in which they are sat
     * @param  int  $minutes  for the whole exam, reading time included
     * @param  int  $readingMinutes  before the first answer may be given
     * @param  string|null  $breakAfter  code of the section after which a break may be taken; what was seen before it is locked then
     */
    private function __construct(public array $sections, public int $minutes, public int $readingMinutes, public ?string $breakAfter, public int $breakMinutes, public Scale $scale)
    {
    }

    /**
     * @param  array<mixed>  $rules  as docs/question-format.md describes them
     *
     * @throws InvalidRecipe with what is missing
     */
    public static function of(array $rules): self
    {
        $fields = new Fields($rules);
        try {
            $sections = array_map(self::readSection(...), $fields->each('sections'));
            $break = $fields->has('break') ? new Fields(is_array($rules['break'] ?? null) ? $rules['break'] : []) : null;
            $scale = new Fields(is_array($rules['scale'] ?? null) ? $rules['scale'] : []);
            $blueprint = new self(
                $sections, $fields->integer('minutes'), $fields->has('readingMinutes') ? $fields->integer('readingMinutes') : 0,
                $break?->text('after'), $break?->integer('minutes') ?? 0,
                new Scale($scale->integer('low'), $scale->integer('high'), $fields->exact('cut'), $scale->integer('cut'), $scale->has('step') ? $scale->integer('step') : 1),
            );
        } catch (InvalidQuestion|InvalidScheme $error) {
            throw InvalidRecipe::because("The blueprint: {$error->getMessage()}");
        }
        $codes = array_column($sections, 'code');
        if ($sections === [] || count(array_unique($codes)) !== count($codes)) {
            throw InvalidRecipe::because('The blueprint needs sections with codes of their own.');
        }
        if ($blueprint->breakAfter !== null && ! in_array($blueprint->breakAfter, array_slice($codes, 0, -1), true)) {
            throw InvalidRecipe::because('The break must come after a section that is not the last.');
        }
        if ($blueprint->readingMinutes + $blueprint->breakMinutes >= $blueprint->minutes) {
            throw InvalidRecipe::because('Reading and the break leave no time for answering.');
        }

        return $blueprint;
    }

    public function section(string $code): ?Section
    {
        foreach ($this->sections as $section) {
            if ($section->code === $code) {
                return $section;
            }
        }

        return null;
    }

    public function questions(): int
    {
        return array_sum(array_column($this->sections, 'questions'));
    }

    public function possible(): BigRational
    {
        return array_reduce($this->sections, static fn (BigRational $sum, Section $section): BigRational => $sum->plus($section->possible()), BigRational::zero());
    }

    /**
     * Where a paper departs from this blueprint.
     *
     * @param  list<PaperItem>  $items  in order
     * @param  list<int|string>  $weights  of the topics
     * @return list<string> sentences; none when the paper keeps to it
     */
    public function faults(array $items, array $weights): array
    {
        $faults = [];
        $codes = array_column($this->sections, 'code');
        $places = array_map(static fn (PaperItem $item): int|false => array_search($item->section, $codes, true), $items);
        $sorted = $places;
        sort($sorted);
        if (in_array(false, $places, true) || $sorted !== $places) {
            $faults[] = 'Its sections are not those of the blueprint, in order.';
        }
        foreach ($this->sections as $section) {
            $mine = array_values(array_filter($items, static fn (PaperItem $item): bool => $item->section === $section->code));
            array_push($faults, ...self::sectionFaults($section, $mine, $weights));
        }

        return $faults;
    }

    /**
     * @param  list<PaperItem>  $items
     * @param  list<int|string>  $weights
     * @return list<string>
     */
    private static function sectionFaults(Section $section, array $items, array $weights): array
    {
        $faults = [];
        if (count($items) !== $section->questions) {
            $faults[] = sprintf('Section "%s" has %d questions, not %d.', $section->code, count($items), $section->questions);
        }
        $units = $topics = [];
        foreach ($items as $item) {
            if ($section->kinds !== [] && ! in_array($item->kind, $section->kinds, true)) {
                $faults[] = "{$item->question}: section \"{$section->code}\" takes no questions of the kind {$item->kind->value}.";
            }
            if (($item->unit === null) !== ($section->units === [])) {
                $faults[] = "{$item->question}: section \"{$section->code}\" takes ".($section->units === [] ? 'only questions that stand alone.' : 'only cases, passage sets and series.');
            }
            $units[$item->unitKind ?? ''][$item->unit ?? ''] = true;
            $topics[$item->topic] = ($topics[$item->topic] ?? 0) + 1;
        }
        foreach ($section->units as $kind => $n) {
            if (count($units[$kind] ?? []) !== $n) {
                $faults[] = sprintf('Section "%s" has %d of the sort %s, not %d.', $section->code, count($units[$kind] ?? []), $kind, $n);
            }
        }
        if ($section->units === []) {
            foreach (Allocation::of($section->questions, $weights, array_fill(0, count($weights), $section->questions))->counts as $topic => $n) {
                if (($topics[$topic] ?? 0) !== $n) {
                    $faults[] = sprintf('Section "%s" has %d questions of topic %d; its weight asks for %d.', $section->code, $topics[$topic] ?? 0, $topic + 1, $n);
                }
            }
        }

        return $faults;
    }

    /** @throws InvalidQuestion */
    private static function readSection(Fields $section): Section
    {
        $units = array_map(static fn (BigRational $n): int => $n->toInt(), $section->exactMap('units'));
        if (array_diff(array_keys($units), self::UNITS) !== []) {
            throw InvalidQuestion::because('the units of a section are case, passage and series.');
        }
        $kinds = array_map(static fn (string $kind): Kind => Kind::tryFrom($kind) ?? throw InvalidQuestion::because("there is no kind \"{$kind}\"."), $section->texts('kinds'));
        $questions = $section->integer('questions');
        if ($questions < 1) {
            throw InvalidQuestion::because('a section needs at least one question.');
        }

        return new Section($section->text('code'), $section->text('name'), $questions, $section->exact('marks', '1'), $section->exact('penalty'), $kinds, $units);
    }
}
