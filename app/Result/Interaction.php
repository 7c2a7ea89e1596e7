<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Question\Kind;

/**
 * A question and its response as xAPI writes them: type of interaction, components, the pattern that is right, and the
 * response in the same writing. Source: xAPI 1.0.3, part 2, appendix C.
 */
final readonly class Interaction
{
    private const AND = '[,]';

    private const TO = '[.]';

    private const RANGE = '[:]';

    private function __construct(private SatQuestion $sat, private Kind $kind)
    {
    }

    /** @return array<string, mixed> of an activity's definition */
    public static function definition(SatQuestion $sat): array
    {
        $one = new self($sat, $sat->kind);
        $right = $one->right();

        return [
            'type' => 'http://adlnet.gov/expapi/activities/cmi.interaction',
            'name' => ['en' => 'Question '.($sat->result->position + 1)],
            'description' => ['en' => $sat->stem()],
            'interactionType' => $one->type(),
        ] + ($right === null ? [] : ['correctResponsesPattern' => [$right]]) + $one->components();
    }

    /** @return string|null null: left blank */
    public static function response(SatQuestion $sat): ?string
    {
        return $sat->response === null ? null : (new self($sat, $sat->kind))->written($sat->response);
    }

    private function type(): string
    {
        return match ($this->kind) {
            Kind::Single, Kind::Several => 'choice',
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => 'matching',
            Kind::Ordering => 'sequencing',
            Kind::TypedGaps => 'fill-in',
            Kind::Number => 'numeric',
            Kind::Written => 'long-fill-in',
            Kind::Picture => 'other',
        };
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function components(): array
    {
        $shown = $this->sat->shown;

        return match ($this->type()) {
            'choice' => ['choices' => self::named($shown['options'] ?? [])],
            'sequencing' => ['choices' => self::named($shown['items'] ?? [])],
            'matching' => [
                'source' => self::named($shown['rows'] ?? []),
                'target' => self::named([...self::list($shown['choices'] ?? []), ...$this->choicesOfRows()]),
            ],
            default => [],
        };
    }

    /** @return list<mixed> where each row has choices of its own */
    private function choicesOfRows(): array
    {
        return array_merge([], ...array_map(
            fn (mixed $row): array => is_array($row) ? self::list($row['choices'] ?? []) : [],
            self::list($this->sat->shown['rows'] ?? []),
        ));
    }

    private function right(): ?string
    {
        $told = $this->sat->withheld;

        return match ($this->kind) {
            Kind::Single => self::text($told['key'] ?? null),
            Kind::Several => implode(self::AND, self::texts($told['keys'] ?? [])),
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => self::pairs(
                $told['keys'] ?? [],
            ),
            Kind::Ordering => implode(self::AND, self::texts($told['order'] ?? [])),
            Kind::TypedGaps => implode(self::AND, array_map(
                fn (mixed $gap): string => self::texts(is_array($gap) ? $gap['accepted'] ?? [] : [])[0] ?? '',
                self::list($told['gaps'] ?? []),
            )),
            // Without a lower and an upper end, exactly this.
            Kind::Number => is_numeric($told['value'] ?? null)
                ? self::text($told['value']).self::RANGE.self::text($told['value'])
                : null,
            Kind::Written, Kind::Picture => null,
        };
    }

    /** @param  array<mixed>  $response */
    private function written(array $response): string
    {
        return match ($this->kind) {
            Kind::Single => self::text($response['choice'] ?? null),
            Kind::Several => implode(self::AND, self::texts($response['choices'] ?? [])),
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => self::pairs(
                $response['rows'] ?? [],
            ),
            Kind::Ordering => implode(self::AND, self::texts($response['order'] ?? [])),
            // In the order of the gaps, one that was left empty included.
            Kind::TypedGaps => implode(self::AND, array_map(
                fn (string $gap): string => self::text(((array) ($response['gaps'] ?? []))[$gap] ?? ''),
                array_keys((array) ($this->sat->withheld['gaps'] ?? [])),
            )),
            Kind::Number => trim(self::text($response['text'] ?? '').' '.self::text($response['unit'] ?? '')),
            Kind::Written => self::text($response['text'] ?? ''),
            Kind::Picture => implode(self::AND, array_map(
                fn (mixed $point): string => is_array($point)
                    ? self::text($point['x'] ?? 0).' '.self::text($point['y'] ?? 0)
                    : '',
                self::list($response['points'] ?? []),
            )),
        };
    }

    private static function pairs(mixed $rows): string
    {
        $pairs = [];
        foreach (is_array($rows) ? $rows : [] as $row => $choice) {
            if (self::text($choice) !== '') {
                $pairs[] = $row.self::TO.self::text($choice);
            }
        }

        return implode(self::AND, $pairs);
    }

    /** @return list<array{id: string, description: array{en: string}}> each once */
    private static function named(mixed $parts): array
    {
        $named = [];
        foreach (self::list($parts) as $part) {
            if (is_array($part) && is_string($part['id'] ?? null)) {
                $named[$part['id']] = [
                    'id' => $part['id'],
                    'description' => ['en' => self::text($part['text'] ?? '')],
                ];
            }
        }

        return array_values($named);
    }

    /** @return list<mixed> */
    private static function list(mixed $value): array
    {
        return is_array($value) ? array_values($value) : [];
    }

    /** @return list<string> */
    private static function texts(mixed $values): array
    {
        return array_map(self::text(...), self::list($values));
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
