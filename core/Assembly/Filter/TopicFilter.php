<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Question\Fields;

/** Questions of some topics, each by its own subtopic. */
final readonly class TopicFilter implements Filter
{
    private const MOST = 1000;

    /** @param  list<string>  $codes  of topics or subtopics; a topic stands for all under it */
    public function __construct(public array $codes)
    {
    }

    public static function key(): string
    {
        return 'topics';
    }

    public static function read(Fields $choices): ?self
    {
        $codes = $choices->has(self::key()) ? Values::few($choices->texts(self::key()), self::MOST) : null;
        if ($codes === []) {
            throw InvalidRecipe::because('Choose at least one topic.', self::key());
        }

        return $codes === null ? null : new self($codes);
    }

    /** All topics. */
    public static function unused(): null
    {
        return null;
    }

    public static function wayOut(): string
    {
        return 'add the other topics';
    }

    /** @return list<string> */
    public function chosen(): array
    {
        return $this->codes;
    }

    public function passing(BankSets $bank): array
    {
        return ['_topic' => $bank->under($this->codes)];
    }
}
