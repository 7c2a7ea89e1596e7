<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

use Brick\Math\RoundingMode;
use Uplandia\Core\Assembly;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Exact;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;

/** The rules one sitting runs under, frozen at its start. Durations are milliseconds of active time. */
final readonly class Terms
{
    public const MS_PER_MINUTE = 60_000;

    public const MS_PER_SECOND = 1000;

    /** Of what toArray gives; a change of meaning makes the next. */
    private const VERSION = 1;

    /**
     * @param  list<Item>  $items  one for each question
     * @param  int|null  $limit  for the whole sitting; null: none
     * @param  list<Section>  $sections  none: the test is of one piece. Sections with limits are sat in their turn
     * @param  int|null  $questionLimit  for each question; then there is no going back
     * @param  bool  $pausable  a pause stops the clock (practice)
     * @param  int  $breaks  how many breaks may be taken; a break does not stop the clock and locks what was seen
     * @param  int  $reading  of the limit, for reading before the clock begins; who ends it sooner begins sooner
     * @param  bool  $shuffled  whether options stand in an order of this sitting's own
     * @param  bool  $runningScore  in tutor mode, whether the score so far is shown
     * @param  bool  $asksSureness  whether each question asks how sure one is
     * @param  string  $extraTime  the factor that is already in all limits
     * @param  int|null  $breakAfter  section whose questions must all have been seen first, and those before it; null:
     *   a break may be taken at any time
     * @param  int  $breakLength  how long a break is meant to be; it ends when its candidate ends it
     *
     * @throws InvalidTerms
     */
    public function __construct(
        public Mode $mode,
        public array $items,
        public ?int $limit = null,
        public array $sections = [],
        public ?int $questionLimit = null,
        public bool $pausable = true,
        public int $breaks = 0,
        public int $reading = 0,
        public bool $shuffled = true,
        public string $extraTime = '1',
        public bool $runningScore = false,
        public bool $asksSureness = true,
        public ?int $breakAfter = null,
        public int $breakLength = 0,
    ) {
        foreach ([$limit, $questionLimit, ...array_column($sections, 'limit')] as $duration) {
            if ($duration !== null && $duration < 1000) {
                throw InvalidTerms::because('A time limit must be at least one second.', 'limit');
            }
        }
        if ($items === []) {
            throw InvalidTerms::because('A sitting needs at least one question.', 'empty');
        }
        foreach ($items as $item) {
            if ($item->section < 0 || $item->section >= max(1, count($sections))) {
                throw InvalidTerms::because('Every question must stand in one of the sections.', 'unknown_section');
            }
        }
        if ($breaks < 0 || $reading < 0 || ($limit !== null && $reading >= $limit)) {
            throw InvalidTerms::because('Breaks and reading must fit into the time.', 'reading');
        }
    }

    /**
     * The rules of the real exam, for a paper or a rehearsal. No pause unless the exam allows one.
     *
     * @param  list<Item>  $items  in the sections of the blueprint, by index
     *
     * @throws InvalidTerms
     */
    public static function ofExam(Blueprint $blueprint, array $items): self
    {
        $sections = array_map(
            static fn (Assembly\Section $section): Section => new Section(
                code: $section->code,
                name: $section->name,
                limit: $section->minutes === null ? null : $section->minutes * self::MS_PER_MINUTE,
                penalty: (string) $section->scheme->penalty,
            ),
            $blueprint->sections,
        );

        return new self(
            mode: Mode::Timed,
            items: $items,
            limit: $blueprint->minutes * self::MS_PER_MINUTE,
            sections: $sections,
            pausable: $blueprint->pausable,
            breaks: $blueprint->breakAfter === null ? 0 : 1,
            reading: $blueprint->readingMinutes * self::MS_PER_MINUTE,
            breakAfter: $blueprint->breakAfter === null
                ? null
                : (int) array_search($blueprint->breakAfter, array_column($blueprint->sections, 'code'), true),
            breakLength: $blueprint->breakMinutes * self::MS_PER_MINUTE,
        );
    }

    /**
     * The same terms for a candidate who is given more time.
     *
     * @param  string  $factor  such as "1.25", not below 1
     *
     * @throws InvalidTerms
     */
    public function withExtraTime(string $factor): self
    {
        $exact =
            Exact::parse($factor) ?? throw InvalidTerms::because('Extra time must be an exact factor.', 'not_exact');
        if ($exact->isLessThan(1) || $exact->isGreaterThan(10)) {
            throw InvalidTerms::because('Extra time lies between 1 and 10 times the usual time.', 'extra_time');
        }
        $longer = static fn (int $ms): int => $exact->multipliedBy($ms)->toScale(0, RoundingMode::UP)->toInt();
        $maybe = static fn (?int $ms): ?int => $ms === null ? null : $longer($ms);
        $sections = array_map(
            static fn (Section $section): Section => new Section(
                code: $section->code,
                name: $section->name,
                limit: $maybe($section->limit),
                penalty: $section->penalty,
            ),
            $this->sections,
        );

        return new self(
            mode: $this->mode,
            items: $this->items,
            limit: $maybe($this->limit),
            sections: $sections,
            questionLimit: $maybe($this->questionLimit),
            pausable: $this->pausable,
            breaks: $this->breaks,
            reading: $longer($this->reading),
            shuffled: $this->shuffled,
            extraTime: $factor,
            runningScore: $this->runningScore,
            asksSureness: $this->asksSureness,
            breakAfter: $this->breakAfter,
            breakLength: $longer($this->breakLength),
        );
    }

    /** @return int|null the last question that must have been seen before a break; null: it comes at any time */
    public function breakFrom(): ?int
    {
        if ($this->breakAfter === null) {
            return null;
        }

        $before = array_filter($this->items, fn (Item $item): bool => $item->section <= $this->breakAfter);

        return array_key_last($before);
    }

    /** For answering: the limit without what is for reading; null: none. */
    public function answering(): ?int
    {
        return $this->limit === null ? null : $this->limit - $this->reading;
    }

    /** Whether time can run out in it. */
    public function hasClock(): bool
    {
        return $this->limit !== null || $this->questionLimit !== null || $this->sectionsInTurn();
    }

    /** Whether a question can be closed before the end: by a later one of its series, a break, or its time. */
    public function closesQuestions(): bool
    {
        return $this->breaks > 0 || $this->questionLimit !== null || $this->sectionsInTurn()
            || array_filter($this->items, fn (Item $item): bool => $item->series !== null) !== [];
    }

    /** Whether sections are sat one after the other. */
    public function sectionsInTurn(): bool
    {
        return array_filter(array_column($this->sections, 'limit')) !== [];
    }

    /**
     * Refuses an event that cannot belong to a sitting under these terms, whenever it comes.
     *
     * @throws InvalidTerms
     */
    public function check(Event $event): void
    {
        if ($event->kind->needsPosition() && ! isset($this->items[$event->position ?? -1])) {
            throw InvalidTerms::because('The test has no such question.', 'unknown_question');
        }
        if ($event->kind === EventKind::SectionBegan && ! $this->hasSectionToBegin($event->value)) {
            throw InvalidTerms::because('The test has no such section to begin.', 'unknown_section');
        }
    }

    /** Whether a value names a section that can be moved on to: never the first, never one behind the last. */
    public function hasSectionToBegin(mixed $section): bool
    {
        return $this->sectionsInTurn() && is_int($section) && $section >= 1 && $section < count($this->sections);
    }

    /** @return array<string, mixed> for storage; questions that stand alike in a row are told once */
    public function toArray(): array
    {
        $runs = [];
        foreach ($this->items as $item) {
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][1] === $item->section && $runs[$last][2] === $item->series) {
                $runs[$last][0]++;
            } else {
                $runs[] = [1, $item->section, $item->series];
            }
        }

        return [
            'version' => self::VERSION,
            'mode' => $this->mode->value,
            'items' => $runs,
            'limit' => $this->limit,
            'sections' => array_map(static fn (Section $section): array => (array) $section, $this->sections),
            'questionLimit' => $this->questionLimit,
            'pausable' => $this->pausable,
            'breaks' => $this->breaks,
            'reading' => $this->reading,
            'shuffled' => $this->shuffled,
            'extraTime' => $this->extraTime,
            'runningScore' => $this->runningScore,
            'asksSureness' => $this->asksSureness,
            'breakAfter' => $this->breakAfter,
            'breakLength' => $this->breakLength,
        ];
    }

    /**
     * @param  array<mixed>  $stored  what toArray gave
     *
     * @throws InvalidTerms
     */
    public static function fromArray(array $stored): self
    {
        $fields = new Fields($stored);
        try {
            $whole = static fn (Fields $from, string $name): ?int => $from->has($name) ? $from->integer($name) : null;

            return new self(
                mode: Mode::from($fields->text('mode')),
                items: self::items(is_array($stored['items'] ?? null) ? $stored['items'] : []),
                limit: $whole($fields, 'limit'),
                sections: array_map(
                    static fn (Fields $section): Section => new Section(
                        code: $section->text('code'),
                        name: $section->text('name'),
                        limit: $whole($section, 'limit'),
                        penalty: $section->text('penalty'),
                    ),
                    $fields->each('sections'),
                ),
                questionLimit: $whole($fields, 'questionLimit'),
                pausable: $fields->flag('pausable'),
                breaks: $fields->integer('breaks'),
                reading: $fields->integer('reading'),
                shuffled: $fields->flag('shuffled'),
                extraTime: $fields->text('extraTime'),
                runningScore: $fields->flag('runningScore'),
                asksSureness: ! $fields->has('asksSureness') || $fields->flag('asksSureness'),
                breakAfter: $whole($fields, 'breakAfter'),
                breakLength: $whole($fields, 'breakLength') ?? 0,
            );
        } catch (InvalidQuestion|\ValueError $error) {
            throw InvalidTerms::because("These terms cannot be read: {$error->getMessage()}", 'malformed');
        }
    }

    /**
     * @param  array<mixed>  $runs
     * @return list<Item>
     */
    private static function items(array $runs): array
    {
        $items = [];
        foreach ($runs as $run) {
            [$n, $section, $series] = is_array($run) ? [...array_values($run), null, null, null] : [null, null, null];
            if (! is_int($n) || ! is_int($section) || ! (is_string($series) || $series === null) || $n > 1000) {
                throw InvalidTerms::because('The questions of these terms cannot be read.', 'malformed');
            }
            array_push($items, ...array_fill(0, max(0, $n), new Item($section, $series)));
        }

        return $items;
    }
}
