<?php

declare(strict_types=1);

namespace App\Workshop;

use Random\Engine\Secure;
use Random\Randomizer;

/**
 * Names the parts of a question: random, so that they say nothing of the author's order, and lasting, so that what is
 * known of a part stays known when its text is mended or its place changes.
 */
final class PartNames
{
    private const LETTERS = 'bcdfghjkmnpqrstvwxyz23456789';

    private const LENGTH = 7;

    /** Texts that share this much, in per cent, are one part that was mended. */
    private const ALIKE = 60.0;

    private readonly Randomizer $chance;

    /** @var array<string, true> */
    private array $taken = [];

    /** @param  array<string, list<array{id: string, text: string}>>  $before  parts of the version before, by sort */
    public function __construct(private readonly array $before = [])
    {
        $this->chance = new Randomizer(new Secure());
        foreach ($before as $parts) {
            $this->taken += array_fill_keys(array_column($parts, 'id'), true);
        }
    }

    /**
     * @param  array<mixed>  $shown  of the version before
     * @param  array<mixed>  $withheld
     */
    public static function after(array $shown, array $withheld): self
    {
        $before = [];
        foreach (['options', 'rows', 'choices', 'items'] as $sort) {
            $before[$sort] = self::parts($shown[$sort] ?? [], 'text');
        }
        foreach (self::rows($shown) as ['id' => $row, 'choices' => $choices]) {
            $before["choices of {$row}"] = self::parts($choices, 'text');
        }
        foreach (['targets', 'decoys', 'rubric'] as $sort) {
            $before[$sort] = self::parts($withheld[$sort] ?? [], $sort === 'rubric' ? 'text' : 'name');
        }
        // Gaps go by the mark that their author gave them in the stem.
        foreach (is_array($withheld['marks'] ?? null) ? $withheld['marks'] : [] as $id => $mark) {
            $before['gaps'][] = ['id' => (string) $id, 'text' => is_string($mark) ? $mark : ''];
        }

        return new self($before);
    }

    /**
     * Names for all parts of one sort: that of the part with the same text, else of one much like it, else of the one
     * that stood in the same place, else a new one.
     *
     * @param  list<string>  $texts  in the author's order
     * @return list<string>
     */
    public function of(string $sort, array $texts): array
    {
        $left = $this->before[$sort] ?? [];
        // Where parts came or went, a place says nothing.
        $ways = [$this->same(...), $this->alike(...), ...count($left) === count($texts) ? [$this->inPlace(...)] : []];
        $names = [];
        foreach ($ways as $matches) {
            foreach ($texts as $place => $text) {
                $found = isset($names[$place]) ? null : $matches($left, $text, $place);
                if ($found !== null) {
                    $names[$place] = $left[$found]['id'];
                    unset($left[$found]);
                }
            }
        }
        foreach (array_keys($texts) as $place) {
            $names[$place] ??= $this->fresh();
        }
        ksort($names);

        return array_values($names);
    }

    /** @param  array<int, array{id: string, text: string}>  $left */
    private function same(array $left, string $text): ?int
    {
        foreach ($left as $i => $part) {
            if ($part['text'] === $text) {
                return $i;
            }
        }

        return null;
    }

    /** @param  array<int, array{id: string, text: string}>  $left */
    private function alike(array $left, string $text): ?int
    {
        $best = null;
        $most = self::ALIKE;
        foreach ($left as $i => $part) {
            similar_text(substr($part['text'], 0, 500), substr($text, 0, 500), $share);
            if ($share >= $most) {
                [$best, $most] = [$i, $share];
            }
        }

        return $best;
    }

    /** @param  array<int, array{id: string, text: string}>  $left */
    private function inPlace(array $left, string $text, int $place): ?int
    {
        return isset($left[$place]) ? $place : null;
    }

    private function fresh(): string
    {
        do {
            $name = '';
            for ($i = 0; $i < self::LENGTH; $i++) {
                $name .= self::LETTERS[$this->chance->getInt(0, strlen(self::LETTERS) - 1)];
            }
        } while (isset($this->taken[$name]));
        $this->taken[$name] = true;

        return $name;
    }

    /** @return list<array{id: string, text: string}> */
    private static function parts(mixed $parts, string $text): array
    {
        $list = [];
        foreach (is_array($parts) ? $parts : [] as $part) {
            if (is_array($part) && is_string($part['id'] ?? null)) {
                $list[] = ['id' => $part['id'], 'text' => is_string($part[$text] ?? null) ? $part[$text] : ''];
            }
        }

        return $list;
    }

    /**
     * @param  array<mixed>  $shown
     * @return list<array{id: string, choices: mixed}>
     */
    private static function rows(array $shown): array
    {
        $rows = [];
        foreach (is_array($shown['rows'] ?? null) ? $shown['rows'] : [] as $row) {
            if (is_array($row) && isset($row['choices'])) {
                $rows[] = ['id' => (string) $row['id'], 'choices' => $row['choices']];
            }
        }

        return $rows;
    }
}
