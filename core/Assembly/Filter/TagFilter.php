<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\QuestionSet;

/** Questions with some tags: of each family that is named, any of its values. */
final readonly class TagFilter implements Filter
{
    /** The family that says what a question holds: picture, sound, film, table, exhibits. */
    public const HOLDS = '_holds';

    /** The family that says how difficult the cohort finds it. */
    public const FOUND = '_found';

    /** The family of the handbook's sections that its reasons refer to. */
    public const READS = '_reads';

    /** @param  array<string, list<string>>  $tags  family => values */
    public function __construct(public array $tags)
    {
    }

    public static function key(): string
    {
        return 'tags';
    }

    public static function read(Fields $choices): self
    {
        $tags = [];
        foreach ($choices->lists(self::key()) as $family => $values) {
            if ($values !== []) {
                $tags[$family] = Values::few($values);
            }
        }
        ksort($tags);

        return count($tags) <= Values::MOST
            ? new self($tags)
            : throw InvalidRecipe::because('So many filters cannot be combined.', self::key());
    }

    /** @return array<string, never> */
    public static function unused(): array
    {
        return [];
    }

    public static function wayOut(): string
    {
        return 'drop the tags';
    }

    /** @return array<string, list<string>> */
    public function chosen(): array
    {
        return $this->tags;
    }

    public function passing(BankSets $bank): array
    {
        $families = array_map(strval(...), array_keys($this->tags));

        return array_combine($families, array_map(
            fn (string $family): QuestionSet => $bank->having($family, $this->tags[$family]),
            $families,
        ));
    }
}
