<?php

declare(strict_types=1);

namespace App\Bench;

/**
 * A simulated candidate with a browser of their own: signed in, with a sitting open.
 *
 * @phpstan-type Step array{
 *     method: non-empty-string, path: string, body: array<string, mixed>, ids: list<string>,
 *     marks: array<int, string>,
 * }
 */
final class CrowdMember
{
    public int $seq = 10;

    /** When the next save is due, in seconds of the trial. */
    public float $next = 0.0;

    /** @var list<string> event ids that the server has acknowledged */
    public array $acknowledged = [];

    /** @var array<int, string> question => the words marked in it, as the server has acknowledged them */
    public array $marked = [];

    private int $saves = 0;

    /** The last question that an adaptive test has asked, by position; null: it is a fixed list. */
    public ?int $asked = null;

    /** Whether it has been handed in, and is gone through. */
    public bool $studies = false;

    /**
     * @param  list<list<string>>  $options  question => option ids
     */
    public function __construct(
        public readonly string $sitting,
        public readonly Visitor $visitor,
        public readonly array $options,
    ) {
    }

    /** @return Step what the person does next */
    public function does(): array
    {
        $this->saves++;
        if ($this->asked !== null) {
            return $this->goesOn($this->asked);
        }

        if ($this->studies) {
            return $this->studies();
        }

        return $this->saves % 4 === 0 ? $this->keeps() : $this->tells($this->events());
    }

    /**
     * After a test: the result, what lay behind a question, and into the gap book or out of it, in turn.
     *
     * @return Step
     */
    private function studies(): array
    {
        $position = $this->saves % count($this->options);

        return match ($this->saves % 3) {
            0 => $this->step('GET', '/result', []),
            1 => $this->step('PUT', "/questions/{$position}/cause", ['cause' => 'rushed']),
            default => $this->step('PUT', "/questions/{$position}/gap", ['inBook' => $this->saves % 2 === 0]),
        };
    }

    /**
     * Beside answers people mark words and take notes, in turn.
     *
     * @return Step
     */
    private function keeps(): array
    {
        $position = $this->saves % count($this->options);
        $words = "words {$this->saves}";

        return match ($this->saves % 12) {
            4 => $this->step('PUT', "/questions/{$position}/highlights", ['highlights' => [[
                'part' => 'stem', 'from' => 0, 'to' => strlen($words), 'kind' => 'marked', 'quote' => $words,
            ]]], marks: [$position => $words]),
            8 => $this->step('PUT', "/questions/{$position}/note", ['note' => $words]),
            default => $this->step('PUT', '/scratch', ['words' => $words, 'strokes' => ['1,1 2,2']]),
        };
    }

    /**
     * In an adaptive test: a look at the last question, then a word that one goes on from it, left blank; in turn.
     *
     * @return Step
     */
    private function goesOn(int $asked): array
    {
        return $this->saves % 2 === 0
            ? $this->step('POST', '/next', ['tab' => Crowd::TAB, 'after' => $asked])
            : $this->tells([$this->event('shown', $asked, null)]);
    }

    /**
     * @param  list<array<string, mixed>>  $events
     * @return Step
     */
    private function tells(array $events): array
    {
        $ids = array_map(fn (array $event): string => "{$event['id']}", $events);

        return $this->step('POST', '/events', ['tab' => Crowd::TAB, 'events' => $events], ids: $ids);
    }

    /**
     * @param  non-empty-string  $method
     * @param  array<string, mixed>  $body
     * @param  list<string>  $ids
     * @param  array<int, string>  $marks
     * @return Step
     */
    private function step(string $method, string $path, array $body, array $ids = [], array $marks = []): array
    {
        return [
            'method' => $method, 'path' => "/api/sittings/{$this->sitting}{$path}", 'body' => $body, 'ids' => $ids,
            'marks' => $marks,
        ];
    }

    /**
     * What an adaptive test asked next; nothing more, and one goes home.
     *
     * @param  array<mixed>  $heard  the answer, as JSON has it
     */
    public function hears(array $heard): void
    {
        $positions = array_column((array) ($heard['questions'] ?? []), 'position');
        $this->asked = $positions === [] ? $this->asked : (int) max($positions);
        $this->next = $positions === [] ? INF : $this->next;
    }

    /** @return list<array<string, mixed>> a look at the next question, and an answer to it */
    public function events(): array
    {
        $position = intdiv($this->seq, 2) % count($this->options);
        $option = $this->options[$position][$this->seq % count($this->options[$position])];

        return [
            $this->event('shown', $position, null),
            $this->event('answered', $position, ['choice' => $option]),
        ];
    }

    /** @return array<string, mixed> */
    private function event(string $kind, int $position, mixed $value): array
    {
        return [
            'id' => "{$this->sitting}-{$this->seq}", 'seq' => $this->seq++, 'kind' => $kind, 'position' => $position,
            'value' => $value,
        ];
    }
}
