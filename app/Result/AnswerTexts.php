<?php

declare(strict_types=1);

namespace App\Result;

/** What the withheld half of a version tells of each part, and what was responded there. */
final readonly class AnswerTexts
{
    /**
     * @param  array<string, mixed>  $withheld
     * @param  array<mixed>  $response
     */
    public function __construct(private array $withheld, private array $response)
    {
    }

    public function why(string $part): string
    {
        return self::text($this->withheld['why'] ?? null, $part) ?? '';
    }

    /** The id of the right choice of a row. */
    public function key(string $row): string
    {
        return self::text($this->withheld['keys'] ?? null, $row) ?? '';
    }

    /** An accepted answer of a gap. */
    public function accepted(string $gap): string
    {
        $gaps = $this->withheld['gaps'] ?? null;
        $accepted = is_array($gaps) && is_array($gaps[$gap] ?? null) ? $gaps[$gap]['accepted'] ?? [] : [];

        return is_array($accepted) ? self::text(array_values($accepted), '0') ?? '' : '';
    }

    /** What was responded in a part of a response, by id. */
    public function responded(string $name, string $part): ?string
    {
        return self::text($this->response[$name] ?? null, $part);
    }

    /** @return list<string> item ids in their right order */
    public function order(): array
    {
        return array_values(array_filter((array) ($this->withheld['order'] ?? []), is_string(...)));
    }

    /** The place, from 1, that an item was given. */
    public function place(string $item): ?string
    {
        $place = array_search($item, (array) ($this->response['order'] ?? []), true);

        return is_int($place) ? (string) ($place + 1) : null;
    }

    public function value(): string
    {
        return self::text($this->withheld, 'value') ?? '';
    }

    /** The unit that the value is in. */
    public function unit(): ?string
    {
        $units = is_array($this->withheld['units'] ?? null) ? $this->withheld['units'] : [];
        foreach ($units as $unit => $factor) {
            if ((string) $factor === '1') {
                return (string) $unit;
            }
        }

        return null;
    }

    public function typed(): ?string
    {
        return self::text($this->response, 'text');
    }

    public function typedUnit(): ?string
    {
        return self::text($this->response, 'unit');
    }

    /** @return list<array{value: string, why: string}> */
    public function slips(): array
    {
        /** @var list<array{value: string, why: string}> $slips */
        $slips = is_array($this->withheld['slips'] ?? null) ? $this->withheld['slips'] : [];

        return $slips;
    }

    /** @return list<array{id: string, why: string, ...}> */
    public function regions(string $name): array
    {
        /** @var list<array{id: string, why: string}> $regions */
        $regions = is_array($this->withheld[$name] ?? null) ? $this->withheld[$name] : [];

        return $regions;
    }

    private static function text(mixed $from, string $name): ?string
    {
        $text = is_array($from) ? $from[$name] ?? null : null;

        return is_scalar($text) && ! is_bool($text) ? (string) $text : null;
    }
}
