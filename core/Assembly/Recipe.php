<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;

/** The saved choices from which a test is built: which questions, how many, how spread, how to be sat. */
final readonly class Recipe
{
    /** Of the stored shape. A change of meaning makes the next, and an older recipe is read as what it meant then. */
    public const VERSION = 1;

    public const MOST_QUESTIONS = 500;

    public const MOST_MINUTES = 600;

    /**
     * @param  int  $count  questions wanted, 1 to 500
     * @param  int|null  $minutes  time limit before extra time, for timed mode; null: as the exam gives
     */
    public function __construct(
        public Filters $filters,
        public int $count,
        public Mode $mode,
        public Spread $spread = Spread::Blueprint,
        public ?int $minutes = null,
    ) {
        if ($count < 1 || $count > self::MOST_QUESTIONS) {
            throw InvalidRecipe::because('A test has 1 to 500 questions. Choose a number between them.', 'count');
        }
        if ($minutes !== null && ($minutes < 1 || $minutes > self::MOST_MINUTES)) {
            throw InvalidRecipe::because('A time limit lies between 1 and 600 minutes.', 'minutes');
        }
    }

    /**
     * @param  array<mixed>  $choices  what toArray gives, or a part of it
     *
     * @throws InvalidRecipe with what to mend
     */
    public static function of(array $choices): self
    {
        $fields = new Fields($choices);
        try {
            if ($fields->has('version') && $fields->integer('version') > self::VERSION) {
                throw InvalidRecipe::because('This recipe was made by a newer Uplandia.', 'version');
            }

            return new self(
                filters: Filters::of($choices),
                count: $fields->integer('count'),
                mode: Mode::tryFrom(self::word($choices, 'mode')) ??
                    throw InvalidRecipe::because('Choose tutor, timed or untimed.', 'mode'),
                spread: Spread::tryFrom(self::word($choices, 'spread', Spread::Blueprint->value)) ??
                    throw InvalidRecipe::because(
                        'Questions are spread as the exam weighs, as there are, or evenly.',
                        'spread',
                    ),
                minutes: $fields->has('minutes') ? $fields->integer('minutes') : null,
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
            ];
    }

    /** @param  array<mixed>  $choices */
    private static function word(array $choices, string $name, string $otherwise = ''): string
    {
        $word = $choices[$name] ?? $otherwise;

        return is_string($word) ? $word : '';
    }
}
