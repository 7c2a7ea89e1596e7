<?php

declare(strict_types=1);

namespace App\Http\Contract;

use BackedEnum;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use Illuminate\Validation\Rules\Password;
use LogicException;

/**
 * JSON Schema of what validation rules let through, limits and all.
 *
 * @phpstan-import-type Schema from Shapes
 */
final class RuleShape
{
    private const TYPES = [
        'string' => 'string',
        'integer' => 'integer',
        'numeric' => 'number',
        'boolean' => 'boolean',
        'array' => 'array',
    ];

    /** What a limit limits, by type. */
    private const LIMITS = [
        'string' => ['minLength', 'maxLength'],
        'integer' => ['minimum', 'maximum'],
        'number' => ['minimum', 'maximum'],
        'array' => ['minItems', 'maxItems'],
        'object' => ['minProperties', 'maxProperties'],
    ];

    /**
     * @param  array<string, list<mixed>>  $rules  by field; "field.*" for what a list holds
     * @return array{type: string, required?: list<string>, properties: array<string, Schema>}
     */
    public static function of(array $rules): array
    {
        $properties = $required = [];
        foreach ($rules as $field => $each) {
            if (str_contains($field, '.')) {
                continue;
            }
            if (in_array('required', $each, true) || in_array('present', $each, true)) {
                $required[] = $field;
            }
            $properties[$field] = self::field($each, $rules["{$field}.*"] ?? null);
        }

        $needed = $required === [] ? [] : ['required' => $required];

        return ['type' => 'object', ...$needed, 'properties' => $properties];
    }

    /**
     * @param  list<mixed>  $rules
     * @param  list<mixed>|null  $within  rules of what it holds
     * @return Schema
     */
    private static function field(array $rules, ?array $within = null): array
    {
        [$schema, $limits] = [[], []];
        foreach ($rules as $rule) {
            if (is_string($rule)) {
                [$name, $terms] = [...explode(':', $rule, 2), ''];
                match (true) {
                    isset(self::TYPES[$name]) => $schema['type'] = self::TYPES[$name],
                    $name === 'min' => $limits[0] = $terms,
                    $name === 'max' => $limits[1] = $terms,
                    $name === 'between' => $limits = explode(',', $terms),
                    $name === 'date_format' && $terms === 'Y-m-d' => $schema['format'] = 'date',
                    $name === 'email' => $schema['format'] = 'email',
                    $name === 'in' => $schema['enum'] = explode(',', $terms),
                    default => null,
                };
            } elseif ($rule instanceof In || $rule instanceof Enum) {
                $schema['enum'] = self::values($rule);
            } elseif ($rule instanceof Password) {
                $limits[0] = $rule->appliedRules()['min'];
            }
        }
        if (isset($schema['enum'])) {
            $schema['type'] ??= 'string';
        }
        $type = $schema['type'] ?? null;
        if ($type === 'array' && $within !== null) {
            // A list has places, anything else names that nobody knows beforehand.
            $isList = in_array('list', $rules, true);
            $schema = ['type' => $type = $isList ? 'array' : 'object'] + $schema;
            $schema[$isList ? 'items' : 'additionalProperties'] = self::field($within);
        }
        foreach ($limits as $which => $limit) {
            [$least, $most] = self::LIMITS[$type] ?? throw new LogicException('A limit of something without a type.');
            $schema[$which === 0 ? $least : $most] = is_numeric($limit) ? 0 + $limit : 0;
        }

        return in_array('nullable', $rules, true) ? Shapes::orNull($schema) : $schema;
    }

    /** @return list<string> */
    private static function values(In|Enum $rule): array
    {
        if ($rule instanceof In) {
            return array_map(
                static fn (string $quoted): string => trim($quoted, '"'),
                explode(',', substr((string) $rule, strlen('in:'))),
            );
        }
        // Which of its cases it takes, an enum rule tells by taking them.
        $type = (fn (): string => $this->type)->call($rule);
        assert(is_a($type, BackedEnum::class, true));

        return array_values(array_map(
            static fn (BackedEnum $case): string => (string) $case->value,
            array_filter($type::cases(), static fn (BackedEnum $case): bool => $rule->passes('', $case->value)),
        ));
    }
}
