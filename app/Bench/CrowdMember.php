<?php

declare(strict_types=1);

namespace App\Bench;

/** A simulated candidate with a browser of their own: signed in, with a sitting open. */
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

    /**
     * @param  list<list<string>>  $options  question => option ids
     */
    public function __construct(
        public readonly string $sitting,
        public readonly Visitor $visitor,
        public readonly array $options,
    ) {
    }

    /**
     * Beside answers people mark words and take notes: every fourth time, in turn.
     *
     * @return array{
     *     method: non-empty-string, path: string, body: array<string, mixed>, marks: array<int, string>,
     * }|null null: it is time for an answer
     */
    public function keeps(): ?array
    {
        if (++$this->saves % 4 !== 0) {
            return null;
        }
        $position = $this->saves % count($this->options);
        $of = "/api/sittings/{$this->sitting}";
        $words = "words {$this->saves}";
        $keep = fn (string $path, array $body, array $marks = []): array => [
            'method' => 'PUT', 'path' => $of.$path, 'body' => $body, 'marks' => $marks,
        ];

        return match ($this->saves % 12) {
            4 => $keep("/questions/{$position}/highlights", ['highlights' => [[
                'part' => 'stem', 'from' => 0, 'to' => strlen($words), 'kind' => 'marked', 'quote' => $words,
            ]]], [$position => $words]),
            8 => $keep("/questions/{$position}/note", ['note' => $words]),
            default => $keep('/scratch', ['words' => $words, 'strokes' => ['1,1 2,2']]),
        };
    }

    /** @return list<array<string, mixed>> a look at the next question, and an answer to it */
    public function events(): array
    {
        $position = intdiv($this->seq, 2) % count($this->options);
        $option = $this->options[$position][$this->seq % count($this->options[$position])];
        $event = fn (string $kind, mixed $value): array => [
            'id' => "{$this->sitting}-{$this->seq}", 'seq' => $this->seq++, 'kind' => $kind, 'position' => $position,
            'value' => $value,
        ];

        return [$event('shown', null), $event('answered', ['choice' => $option])];
    }
}
