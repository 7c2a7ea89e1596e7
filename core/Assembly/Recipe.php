<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Assembly\Filter\Filter;
use Uplandia\Core\Exact;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;

/** The saved choices from which a test is built: which questions, how many, how spread, how to be sat. */
final readonly class Recipe
{
    /** Of the stored shape. A change of meaning makes the next, and an older recipe is read as what it meant then. */
    public const VERSION = 1;

    public const MOST_QUESTIONS = 500;

    public const MOST_MINUTES = 600;

    public const FEWEST_SECONDS = 5;

    public const MOST_SECONDS = 3600;

    /** A test that adapts to the answers says nothing before so many questions. */
    public const FEWEST_ADAPTING = 15;

    public const MOST_ADAPTING = 100;

    /** A wrong answer costs what it costs in the exam. */
    public const AS_IN_EXAM = 'exam';

    /**
     * @param  int  $count  questions wanted, 1 to 500
     * @param  int|null  $minutes  time limit before extra time, for timed mode; null: as the exam gives
     * @param  array<string, int>  $byTopic  code of a topic or subtopic => exactly so many of it, where they are
     * spread
     *   by hand; a topic gives what its subtopics with counts of their own do not
     * @param  bool  $plain  every question is worth one mark, whatever the exam gives for it
     * @param  string  $penalty  share of its marks that a wrong answer costs, exact, or "exam"
     * @param  bool  $shuffled  whether options stand in an order of each sitting's own
     * @param  int|null  $secondsEach  before extra time, for each question of a timed test instead of a limit for the
     *   whole; then there is no going back
     * @param  bool  $runningScore  in tutor mode, whether the score so far is shown
     * @param  bool  $asksSureness  whether each question asks how sure one is
     * @param  bool  $adapting  each question is chosen by the answers so far, at most as many as are wanted
     */
    public function __construct(
        public Filters $filters,
        public int $count,
        public Mode $mode,
        public Spread $spread = Spread::Blueprint,
        public ?int $minutes = null,
        public array $byTopic = [],
        public bool $plain = false,
        public string $penalty = '0',
        public bool $shuffled = true,
        public ?int $secondsEach = null,
        public bool $runningScore = false,
        public bool $asksSureness = true,
        public bool $adapting = false,
    ) {
        if ($adapting) {
            $this->refuseWhatDoesNotAdapt();
        }
        $exact = Exact::parse($penalty);
        if ($penalty !== self::AS_IN_EXAM && ($exact === null || $exact->getSign() < 0 || $exact->isGreaterThan(1))) {
            throw InvalidRecipe::because('A wrong answer costs a share of the marks, from 0 to 1.', 'penalty');
        }
        if ($count < 1 || $count > self::MOST_QUESTIONS) {
            throw InvalidRecipe::because('A test has 1 to 500 questions. Choose a number between them.', 'count');
        }
        if (($spread === Spread::ByHand) !== ($byTopic !== [])) {
            throw InvalidRecipe::because('Type how many you want beside at least one topic.', 'by_topic');
        }
        if ($byTopic !== [] && ($count !== array_sum($byTopic) || min($byTopic) < 1)) {
            throw InvalidRecipe::because('The counts by topic do not add up to the whole.', 'by_topic');
        }
        if ($minutes !== null && ($minutes < 1 || $minutes > self::MOST_MINUTES)) {
            throw InvalidRecipe::because('A time limit lies between 1 and 600 minutes.', 'minutes');
        }
        if ($secondsEach !== null && ($secondsEach < self::FEWEST_SECONDS || $secondsEach > self::MOST_SECONDS)) {
            throw InvalidRecipe::because('A question has between 5 and 3,600 seconds.', 'seconds_each');
        }
        if ($secondsEach !== null && ($minutes !== null || $mode !== Mode::Timed)) {
            throw InvalidRecipe::because(
                'Either each question has its seconds, in timed mode, or the whole test its minutes.',
                'seconds_each',
            );
        }
    }

    /**
     * @param  array<mixed>  $choices  what toArray gives, or a part of it
     * @param  list<class-string<Filter>>  $known  filters there are
     *
     * @throws InvalidRecipe with what to mend
     */
    public static function of(array $choices, array $known = Filters::KNOWN): self
    {
        $fields = new Fields($choices);
        try {
            if ($fields->has('version') && $fields->integer('version') > self::VERSION) {
                throw InvalidRecipe::because('This recipe was made by a newer Uplandia.', 'version');
            }

            $byTopic = self::byTopic($fields);

            return new self(
                filters: Filters::of($choices, $known),
                count: $byTopic === [] ? $fields->integer('count') : array_sum($byTopic),
                mode: Mode::tryFrom(self::word($choices, 'mode')) ??
                    throw InvalidRecipe::because('Choose tutor, timed or untimed.', 'mode'),
                spread: Spread::tryFrom(self::word($choices, 'spread', Spread::Blueprint->value)) ??
                    throw InvalidRecipe::because(
                        'Questions are spread as the exam weighs, as there are, evenly, or by hand.',
                        'spread',
                    ),
                minutes: $fields->has('minutes') ? $fields->integer('minutes') : null,
                byTopic: $byTopic,
                plain: $fields->flag('plain'),
                penalty: $fields->has('penalty') ? $fields->text('penalty') : '0',
                shuffled: ! $fields->has('shuffled') || $fields->flag('shuffled'),
                secondsEach: $fields->has('secondsEach') ? $fields->integer('secondsEach') : null,
                runningScore: $fields->flag('runningScore'),
                asksSureness: ! $fields->has('asksSureness') || $fields->flag('asksSureness'),
                adapting: $fields->flag('adapting'),
            );
        } catch (InvalidQuestion $malformed) {
            throw InvalidRecipe::because("These choices cannot be read: {$malformed->getMessage()}", 'malformed');
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['version' => self::VERSION] +
            $this->filters->toArray() + [
                'count' => $this->count,
                'mode' => $this->mode->value,
                'spread' => $this->spread->value,
                'minutes' => $this->minutes,
                'plain' => $this->plain,
                'penalty' => $this->penalty,
                'shuffled' => $this->shuffled,
                'secondsEach' => $this->secondsEach,
                'runningScore' => $this->runningScore,
                'asksSureness' => $this->asksSureness,
            ] + ($this->byTopic === [] ? [] : ['byTopic' => $this->byTopic])
            + ($this->adapting ? ['adapting' => true] : []);
    }

    /** @throws InvalidRecipe */
    private function refuseWhatDoesNotAdapt(): void
    {
        if ($this->mode === Mode::Tutor) {
            throw InvalidRecipe::because('A test that adapts tells at its end: it is timed or untimed.', 'mode');
        }
        if ($this->count < self::FEWEST_ADAPTING || $this->count > self::MOST_ADAPTING) {
            throw InvalidRecipe::because('A test that adapts asks at most 15 to 100 questions.', 'count');
        }
        if ($this->byTopic !== [] || $this->secondsEach !== null) {
            throw InvalidRecipe::because(
                'A test that adapts chooses what each topic gives, and has no time of its own for each question.',
                'adapting',
            );
        }
    }

    /**
     * @return array<string, int>  only of topics that give any
     *
     * @throws InvalidRecipe
     * @throws InvalidQuestion
     */
    private static function byTopic(Fields $fields): array
    {
        $byTopic = array_filter($fields->integerMap('byTopic'));
        if ($byTopic !== [] && (min($byTopic) < 0 || max($byTopic) > self::MOST_QUESTIONS)) {
            throw InvalidRecipe::because('A topic gives a whole number of questions, from 0 to 500.', 'by_topic');
        }

        return $byTopic;
    }

    /** @param  array<mixed>  $choices */
    private static function word(array $choices, string $name, string $otherwise = ''): string
    {
        $word = $choices[$name] ?? $otherwise;

        return is_string($word) ? $word : '';
    }
}
