<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Assembly\Filter\BankSets;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\Filter;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filter\PickFilter;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filter\WordFilter;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\QuestionSet;

/** Which questions a test may be made of. Filters combine; within one filter any of its values will do. */
final readonly class Filters
{
    /** @var list<class-string<Filter>> all there are */
    public const KNOWN = [
        TopicFilter::class,
        PoolFilter::class,
        DifficultyFilter::class,
        KindFilter::class,
        TagFilter::class,
        WordFilter::class,
        PickFilter::class,
    ];

    /** @var array<class-string<Filter>, Filter> those of which something is chosen */
    private array $used;

    public function __construct(Filter ...$filters)
    {
        $used = [];
        foreach ($filters as $filter) {
            if ($filter->chosen() !== $filter::unused()) {
                $used[$filter::class] = $filter;
            }
        }
        $this->used = $used;
    }

    /**
     * @param  array<mixed>  $choices  what `toArray` gives, or a part of it
     * @param  list<class-string<Filter>>  $known
     *
     * @throws InvalidRecipe with what to mend
     */
    public static function of(array $choices, array $known = self::KNOWN): self
    {
        $fields = new Fields($choices);
        try {
            return new self(...array_filter(array_map(
                static fn (string $filter): ?Filter => $filter::read($fields),
                $known,
            )));
        } catch (InvalidQuestion $malformed) {
            throw InvalidRecipe::because("These choices cannot be read: {$malformed->getMessage()}", 'malformed');
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $kept = [];
        foreach ([...self::KNOWN, ...array_keys($this->used)] as $filter) {
            $kept[$filter::key()] = isset($this->used[$filter]) ? $this->used[$filter]->chosen() : $filter::unused();
        }

        return $kept;
    }

    /**
     * @template T of Filter
     *
     * @param  class-string<T>  $filter
     * @return T|null null: nothing of it is chosen
     */
    public function get(string $filter): ?Filter
    {
        $used = $this->used[$filter] ?? null;

        return $used instanceof $filter ? $used : null;
    }

    /** Whether all questions pass. */
    public function isEmpty(): bool
    {
        return $this->used === [];
    }

    /** @return list<string>|null codes of topics or subtopics; null: all */
    public function topics(): ?array
    {
        return $this->get(TopicFilter::class)?->codes;
    }

    /** @return list<Pool> none: all */
    public function pools(): array
    {
        return $this->get(PoolFilter::class)->values ?? [];
    }

    /**
     * Those that are in use, each with the others alone.
     *
     * @return array<class-string<Filter>, self>
     */
    public function dropped(): array
    {
        $without = [];
        foreach (array_keys($this->used) as $filter) {
            $without[$filter] = new self(...array_values(array_diff_key($this->used, [$filter => true])));
        }

        return $without;
    }

    /**
     * @return array<string, QuestionSet> by family: a question passes that is in each; none: all do
     */
    public function passing(BankSets $bank): array
    {
        $sets = [];
        foreach ($this->used as $filter) {
            // Not merged: a family such as "2024" is a number to PHP.
            $sets += $filter->passing($bank);
        }

        return $sets;
    }
}
