<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\InvalidScheme;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Scale;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\UnitKind;

/** How the real exam is made up: sections, time, cut and scale. */
final readonly class Blueprint
{
    /**
     * @param  list<Section>  $sections  in the order in which they are sat
     * @param  int  $minutes  for the whole exam, reading time included
     * @param  int  $readingMinutes  before the first answer may be given
     * @param  string|null  $breakAfter  code of the section after which a break may be taken; what was seen before it
     *   is
     *                                   locked then
     * @param  bool  $pausable  whether the exam's rules allow a pause
     */
    private function __construct(
        public array $sections,
        public int $minutes,
        public int $readingMinutes,
        public ?string $breakAfter,
        public int $breakMinutes,
        public Scale $scale,
        public bool $pausable,
    ) {
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
            $break = $fields->has('break')
                ? new Fields(is_array($rules['break'] ?? null) ? $rules['break'] : [])
                : null;
            $scale = new Fields(is_array($rules['scale'] ?? null) ? $rules['scale'] : []);
            $blueprint = new self(
                sections: $sections,
                minutes: $fields->integer('minutes'),
                readingMinutes: $fields->has('readingMinutes') ? $fields->integer('readingMinutes') : 0,
                breakAfter: $break?->text('after'),
                breakMinutes: $break?->integer('minutes') ?? 0,
                scale: new Scale(
                    low: $scale->integer('low'),
                    high: $scale->integer('high'),
                    cut: $fields->exact('cut'),
                    cutScore: $scale->integer('cut'),
                    step: $scale->has('step') ? $scale->integer('step') : 1,
                ),
                pausable: $fields->flag('pause'),
            );
        } catch (InvalidQuestion|InvalidScheme $error) {
            throw InvalidRecipe::because("The blueprint: {$error->getMessage()}");
        }
        $codes = array_column($sections, 'code');
        if ($blueprint->readingMinutes < 0 || $blueprint->breakMinutes < 0) {
            throw InvalidRecipe::because('Reading and the break cannot be shorter than nothing.');
        }
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

    /** What a wrong answer to a question of a kind costs: as in the first section that asks for such a kind. */
    public function penaltyFor(Kind $kind): BigRational
    {
        foreach ($this->sections as $section) {
            if (in_array($kind, $section->kinds, true) || ($section->kinds === [] && $section->units === [])) {
                return $section->scheme->penalty;
            }
        }

        return BigRational::zero();
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

    /**
     * Minutes of each section, whole ones that add up to the time for answering: its own, or its marks' share of it.
     *
     * @return array<string, int> by code
     */
    public function sectionMinutes(): array
    {
        $minutes = array_column($this->sections, 'minutes', 'code');
        $shared = array_filter($this->sections, static fn (Section $section): bool => $section->minutes === null);
        $left = $this->minutes - $this->readingMinutes - $this->breakMinutes - array_sum($minutes);
        $counts = Allocation::of(
            max(0, $left),
            array_values(array_map(static fn (Section $section): string => (string) $section->possible(), $shared)),
            array_fill(0, count($shared), max(0, $left)),
        )->counts;

        foreach ($minutes as $code => $own) {
            $minutes[$code] = $own ?? (int) array_shift($counts);
        }

        return $minutes;
    }

    /**
     * The same of one section alone, in its own minutes; no reading, no break.
     *
     * @throws InvalidRecipe when there is no such section
     */
    public function only(string $code): self
    {
        $section =
            $this->section($code) ?? throw InvalidRecipe::because('The exam has no such section.', 'unknown_section');

        return new self(
            sections: [$section],
            minutes: max(1, $this->sectionMinutes()[$code]),
            readingMinutes: 0,
            breakAfter: null,
            breakMinutes: 0,
            scale: $this->scale,
            pausable: $this->pausable,
        );
    }

    public function questions(): int
    {
        return array_sum(array_column($this->sections, 'questions'));
    }

    public function possible(): BigRational
    {
        return array_reduce(
            $this->sections,
            static fn (BigRational $sum, Section $section): BigRational => $sum->plus($section->possible()),
            BigRational::zero(),
        );
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
        $places = array_map(
            static fn (PaperItem $item): int|false => array_search($item->section, $codes, true),
            $items,
        );
        $sorted = $places;
        sort($sorted);
        if (in_array(false, $places, true) || $sorted !== $places) {
            $faults[] = 'Its sections are not those of the blueprint, in order.';
        }
        foreach ($this->sections as $section) {
            $mine = array_values(
                array_filter($items, static fn (PaperItem $item): bool => $item->section === $section->code),
            );
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
            $faults[] = sprintf(
                'Section "%s" has %d questions, not %d.',
                $section->code,
                count($items),
                $section->questions,
            );
        }
        $units = $topics = [];
        foreach ($items as $item) {
            if ($section->kinds !== [] && ! in_array($item->kind, $section->kinds, true)) {
                $faults[] = "{$item->question}: section \"{$section->code}\" takes no questions of the kind {$item->kind->value}.";
            }
            if (($item->unit === null) !== ($section->units === [])) {
                $faults[] =
                    "{$item->question}: section \"{$section->code}\" takes ".
                    ($section->units === []
                        ? 'only questions that stand alone.'
                        : 'only cases, passage sets and series.');
            }
            $units[$item->unitKind ?? ''][$item->unit ?? ''] = true;
            $topics[$item->topic] = ($topics[$item->topic] ?? 0) + 1;
        }
        foreach ($section->units as $kind => $n) {
            if (count($units[$kind] ?? []) !== $n) {
                $faults[] = sprintf(
                    'Section "%s" has %d of the sort %s, not %d.',
                    $section->code,
                    count($units[$kind] ?? []),
                    $kind,
                    $n,
                );
            }
        }
        if ($section->units === []) {
            foreach (
                Allocation::of($section->questions, $weights, array_fill(0, count($weights), $section->questions))
                    ->counts as $topic => $n
            ) {
                if (($topics[$topic] ?? 0) !== $n) {
                    $faults[] = sprintf(
                        'Section "%s" has %d questions of topic %d; its weight asks for %d.',
                        $section->code,
                        $topics[$topic] ?? 0,
                        $topic + 1,
                        $n,
                    );
                }
            }
        }

        return $faults;
    }

    /** @throws InvalidQuestion */
    private static function readSection(Fields $section): Section
    {
        $units = $section->integerMap('units');
        foreach ($units as $kind => $n) {
            if (UnitKind::tryFrom($kind) === null || $n < 1) {
                throw InvalidQuestion::because('the units of a section are so many of case, passage and series.');
            }
        }
        $kinds = array_map(
            static fn (string $kind): Kind => Kind::tryFrom($kind) ??
                throw InvalidQuestion::because("there is no kind \"{$kind}\"."),
            $section->texts('kinds'),
        );
        $questions = $section->integer('questions');
        if ($questions < 1) {
            throw InvalidQuestion::because('a section needs at least one question.');
        }

        $minutes = $section->has('minutes') ? $section->integer('minutes') : null;
        if ($minutes !== null && $minutes < 1) {
            throw InvalidQuestion::because('a section with a time of its own needs at least a minute.');
        }

        return new Section(
            code: $section->text('code'),
            name: $section->text('name'),
            questions: $questions,
            scheme: new MarkScheme($section->exact('marks', '1'), $section->exact('penalty')),
            kinds: $kinds,
            units: $units,
            minutes: $minutes,
        );
    }
}
