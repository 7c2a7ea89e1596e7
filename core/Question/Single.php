<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\PlainText;

/** Single best answer: one key among the options. */
final readonly class Single extends Question
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

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self($shown->ids('options'), $answer->text('key'));
    }

    public function kind(): Kind
    {
        return Kind::Single;
    }

    /** One of its options. Example: four options → 0.25. */
    public function luck(): float
    {
        return 1 / count($this->options);
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $choice = $response['choice'] ?? null;
        if ($choice === null || (is_string($choice) && PlainText::isEmpty($choice))) {
            return Credit::leftBlank();
        }
        if (! is_string($choice) || ! isset($this->options[$choice])) {
            throw MalformedResponse::unknown('an option', is_string($choice) ? $choice : get_debug_type($choice));
        }

        return $choice === $this->key ? Credit::full() : Credit::nothing();
    }

    protected function judge(array $response): array
    {
        return self::chosen($this->options, [$this->key => 0], [$response['choice'] ?? null]);
    }

    public function right(Chance $chance): array
    {
        return ['choice' => $this->key];
    }

    public function wrong(Chance $chance, array $slips = []): array
    {
        return ['choice' => $chance->one(array_diff(self::names($this->options), [$this->key]))];
    }
}
