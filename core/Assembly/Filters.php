<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;

/** Which questions a test may be made of. Filters combine; within one filter any of its values will do. */
final readonly class Filters
{
    /** The family of tags that says what a question holds: picture, sound, film, table, exhibits. */
    public const HOLDS = '_holds';

    /** The family that says how difficult the cohort finds it. */
    public const FOUND = '_found';

    /** The family of the handbook's sections that its reasons refer to. */
    public const READS = '_reads';

    private const MOST_TOPICS = 1000;

    private const MOST_VALUES = 50;

    private const LONGEST_WORDS = 200;

    /**
     * @param  list<string>|null  $topics  codes of topics or subtopics; a topic stands for all under it; null: all
     * @param  list<Pool>  $pools  none: all
     * @param  list<Difficulty>  $difficulties  none: all
     * @param  list<Kind>  $kinds  none: all
     * @param  array<string, list<string>>  $tags  family => values; none: all
     * @param  string  $words  to be found in the texts; empty: none
     * @param  list<int>  $only  questions picked by hand; none: all
     */
    public function __construct(
        public ?array $topics = null,
        public array $pools = [],
        public array $difficulties = [],
        public array $kinds = [],
        public array $tags = [],
        public string $words = '',
        public array $only = [],
    ) {
    }

    /**
     * @param  array<mixed>  $choices
     *
     * @throws InvalidRecipe with what to mend
     */
    public static function of(array $choices): self
    {
        $fields = new Fields($choices);
        try {
            $topics = $fields->has('topics') ? self::few($fields->texts('topics'), self::MOST_TOPICS) : null;
            if ($topics === []) {
                throw InvalidRecipe::because('Choose at least one topic.', 'topics');
            }
            $words = $fields->has('words') ? $choices['words'] : '';
            if (! is_string($words) || mb_strlen($words) > self::LONGEST_WORDS) {
                throw InvalidRecipe::because('A search can have up to 200 letters.', 'words');
            }

            return new self(
                topics: $topics,
                pools: self::named(
                    fields: $fields,
                    name: 'pools',
                    read: Pool::tryFrom(...),
                    otherwise: 'There is no such pool of questions.',
                ),
                difficulties: self::named(
                    fields: $fields,
                    name: 'difficulties',
                    read: Difficulty::tryFrom(...),
                    otherwise: 'A question is easy, moderate or hard.',
                ),
                kinds: self::named(
                    fields: $fields,
                    name: 'kinds',
                    read: Kind::tryFrom(...),
                    otherwise: 'There is no such kind of question.',
                ),
                tags: self::tags($fields),
                words: $words,
                only: self::picked($fields),
            );
        } catch (InvalidQuestion $malformed) {
            throw InvalidRecipe::because("These choices cannot be read: {$malformed->getMessage()}", 'malformed');
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'topics' => $this->topics,
            'pools' => array_column($this->pools, 'value'),
            'difficulties' => array_column($this->difficulties, 'value'),
            'kinds' => array_column($this->kinds, 'value'),
            'tags' => $this->tags,
            'words' => $this->words,
        ] + ($this->only === [] ? [] : ['only' => $this->only]);
    }

    /**
     * The filters that are in use, each with what would be left without it.
     *
     * @return array<string, self> by name
     */
    public function dropped(): array
    {
        $without = [];
        foreach ((array) new self() as $name => $unused) {
            if ($this->{$name} !== $unused) {
                $without[$name] = $this->without($name);
            }
        }

        return $without;
    }

    /** The same filters without one of them. */
    public function without(string $name): self
    {
        return new self(
            topics: $name === 'topics' ? null : $this->topics,
            pools: $name === 'pools' ? [] : $this->pools,
            difficulties: $name === 'difficulties' ? [] : $this->difficulties,
            kinds: $name === 'kinds' ? [] : $this->kinds,
            tags: $name === 'tags' ? [] : $this->tags,
            words: $name === 'words' ? '' : $this->words,
            only: $name === 'only' ? [] : $this->only,
        );
    }

    /**
     * @template T
     *
     * @param  callable(string): (T|null)  $read
     * @return list<T>
     */
    private static function named(Fields $fields, string $name, callable $read, string $otherwise): array
    {
        return array_map(
            static fn (string $value): mixed => $read($value) ?? throw InvalidRecipe::because($otherwise, $name),
            self::few($fields->texts($name)),
        );
    }

    /**
     * @return list<int>
     *
     * @throws InvalidRecipe
     * @throws InvalidQuestion
     */
    private static function picked(Fields $fields): array
    {
        $only = array_values(array_unique($fields->has('only') ? $fields->numbers('only') : []));
        if (count($only) > Recipe::MOST_QUESTIONS) {
            throw InvalidRecipe::because('Up to 500 questions can be picked.', 'too_many');
        }

        return $only;
    }

    /** @return array<string, list<string>> */
    private static function tags(Fields $fields): array
    {
        $tags = [];
        foreach ($fields->lists('tags') as $family => $values) {
            if ($values !== []) {
                $tags[$family] = self::few($values);
            }
        }
        ksort($tags);
        if (count($tags) > self::MOST_VALUES) {
            throw InvalidRecipe::because('So many filters cannot be combined.', 'tags');
        }

        return $tags;
    }

    /**
     * Each value once.
     *
     * @param  list<string>  $values
     * @return list<string>
     */
    private static function few(array $values, int $most = self::MOST_VALUES): array
    {
        $values = array_map(strval(...), array_keys(array_flip($values)));
        if (count($values) > $most) {
            throw InvalidRecipe::because('So many choices cannot be combined.', 'too_many');
        }

        return $values;
    }
}
