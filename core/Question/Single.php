<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** Single best answer: one key among the options. */
final readonly class Single implements Question
{
    /** @var array<string, int> option id => its place as stored */
    public array $options;

    /**
     * @param  list<string>  $options  option ids, at least two, all different
     * @param  string  $key  the id of the best answer
     *
     * @throws InvalidQuestion
     */
    public function __construct(array $options, public string $key)
    {
        $this->options = array_flip($options);
        if (count($options) < 2 || count($this->options) !== count($options)) {
            throw InvalidQuestion::because(
                'A single-answer question needs at least two options with ids of their own.',
            );
        }
        if (! isset($this->options[$key])) {
            throw InvalidQuestion::because("The key \"{$key}\" is not one of the options.");
        }
    }

    public function kind(): Kind
    {
        return Kind::Single;
    }
}
