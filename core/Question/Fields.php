<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Exact;

/** Reads decoded JSON and says plainly what is missing or of the wrong shape. */
final readonly class Fields
{
    /** @param  array<mixed>  $fields */
    public function __construct(private array $fields)
    {
    }

    /** @throws InvalidQuestion */
    public function text(string $name): string
    {
        $value = $this->fields[$name] ?? null;

        return is_string($value) && $value !== ''
            ? $value
            : throw InvalidQuestion::because("\"{$name}\" must be text.");
    }

    /** Whatever it is. */
    public function any(string $name): mixed
    {
        return $this->fields[$name] ?? null;
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    public function flag(string $name): bool
    {
        return ($this->fields[$name] ?? false) === true;
    }

    /** @throws InvalidQuestion */
    public function integer(string $name): int
    {
        return self::asInteger($this->fields[$name] ?? null) ??
            throw InvalidQuestion::because("\"{$name}\" must be a whole number.");
    }

    /** @throws InvalidQuestion */
    public function exact(string $name, string $otherwise = '0'): BigRational
    {
        return self::rational($this->fields[$name] ?? $otherwise, $name);
    }

    /** @throws InvalidQuestion */
    public function rule(Rule $otherwise): Rule
    {
        if (! $this->has('rule')) {
            return $otherwise;
        }

        return Rule::tryFrom($this->text('rule')) ??
            throw InvalidQuestion::because("There is no rule \"{$this->text('rule')}\".");
    }

    /**
     * @return list<string>
     *
     * @throws InvalidQuestion
     */
    public function texts(string $name): array
    {
        return $this->all($name, self::asText(...), 'texts');
    }

    /**
     * @return list<int>
     *
     * @throws InvalidQuestion
     */
    public function numbers(string $name): array
    {
        return $this->all($name, self::asInteger(...), 'whole numbers');
    }

    /**
     * @return array<string, string>
     *
     * @throws InvalidQuestion
     */
    public function textMap(string $name): array
    {
        return $this->allByName($name, self::asText(...), 'text');
    }

    /**
     * Lists of texts by name.
     *
     * @return array<string, list<string>>
     *
     * @throws InvalidQuestion
     */
    public function lists(string $name): array
    {
        $map = [];
        foreach (array_keys($this->map($name)) as $key) {
            // A name such as "7" is a number to PHP.
            $map[$key] = (new self($this->map($name)))->texts((string) $key);
        }

        return $map;
    }

    /**
     * Exact numbers by name.
     *
     * @return array<string, BigRational>
     *
     * @throws InvalidQuestion
     */
    public function exactMap(string $name): array
    {
        $map = [];
        foreach ($this->map($name) as $key => $value) {
            $map[$key] = self::rational($value, "{$name}.{$key}");
        }

        return $map;
    }

    /**
     * Whole numbers by name.
     *
     * @return array<string, int>
     *
     * @throws InvalidQuestion
     */
    public function integerMap(string $name): array
    {
        return $this->allByName($name, self::asInteger(...), 'a whole number');
    }

    /**
     * The ids of a list of {id, …}.
     *
     * @return list<string>
     *
     * @throws InvalidQuestion
     */
    public function ids(string $name): array
    {
        return array_map(static fn (self $item): string => $item->text('id'), $this->each($name));
    }

    /**
     * @return list<self>
     *
     * @throws InvalidQuestion
     */
    public function each(string $name): array
    {
        return array_map(
            static fn (mixed $item): self => self::asObject($item) ??
                throw InvalidQuestion::because("Each of \"{$name}\" must be an object."),
            $this->items($name),
        );
    }

    /**
     * @return array<string, self>
     *
     * @throws InvalidQuestion
     */
    public function eachByName(string $name): array
    {
        return $this->allByName($name, self::asObject(...), 'an object');
    }

    /**
     * @return list<float>
     *
     * @throws InvalidQuestion
     */
    public function floats(string $name): array
    {
        return $this->all(
            $name,
            static fn (mixed $value): ?float => is_int($value) || is_float($value) ? (float) $value : null,
            'numbers',
        );
    }

    /**
     * @return list<list<float>>
     *
     * @throws InvalidQuestion
     */
    public function pairs(string $name): array
    {
        return array_map(
            static fn (mixed $pair): array => (new self(['pair' => $pair]))->floats('pair'),
            $this->items($name),
        );
    }

    /**
     * @template T
     *
     * @param  callable(mixed): (T|null)  $read  null: it is something else
     * @return list<T>
     *
     * @throws InvalidQuestion
     */
    private function all(string $name, callable $read, string $what): array
    {
        return array_map(
            static fn (mixed $value): mixed => $read($value) ??
                throw InvalidQuestion::because("\"{$name}\" must be a list of {$what}."),
            $this->items($name),
        );
    }

    /**
     * @template T
     *
     * @param  callable(mixed): (T|null)  $read  null: it is something else
     * @return array<string, T>
     *
     * @throws InvalidQuestion
     */
    private function allByName(string $name, callable $read, string $what): array
    {
        $map = [];
        foreach ($this->map($name) as $key => $value) {
            $map[$key] = $read($value) ?? throw InvalidQuestion::because("\"{$name}.{$key}\" must be {$what}.");
        }

        return $map;
    }

    private static function asText(mixed $value): ?string
    {
        return is_string($value) ? $value : null;
    }

    private static function asInteger(mixed $value): ?int
    {
        return is_int($value) ? $value : null;
    }

    private static function asObject(mixed $value): ?self
    {
        return is_array($value) ? new self($value) : null;
    }

    /** @return list<mixed> */
    private function items(string $name): array
    {
        $value = $this->fields[$name] ?? [];

        return is_array($value) && array_is_list($value)
            ? $value
            : throw InvalidQuestion::because("\"{$name}\" must be a list.");
    }

    /** @return array<string, mixed> */
    private function map(string $name): array
    {
        $value = $this->fields[$name] ?? [];
        if (! is_array($value)) {
            throw InvalidQuestion::because("\"{$name}\" must be an object.");
        }
        $map = [];
        foreach ($value as $key => $item) {
            $map[(string) $key] = $item;
        }

        return $map;
    }

    private static function rational(mixed $value, string $name): BigRational
    {
        return Exact::parse($value) ??
            throw InvalidQuestion::because(
                "\"{$name}\" must be an exact number, written as text such as \"0.25\" or \"1/3\", or a whole number.",
                'not_exact',
            );
    }
}
