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

    /**
     * @param  list<list<string>>  $options  question => option ids
     */
    public function __construct(
        public readonly string $sitting,
        public readonly Visitor $visitor,
        public readonly array $options,
    ) {
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
