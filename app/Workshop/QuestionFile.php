<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Media\Shelf;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\UnitKind;

/**
 * Reads question files (docs/question-format.md) into what is stored. A list item is a question, or a unit that holds
 * questions: a case, a passage set or a series.
 *
 * @phpstan-import-type Entry from QuestionEntry
 *
 * @phpstan-type UnitEntry array{code: string, kind: string, shown: array<string, mixed>}
 */
final readonly class QuestionFile
{
    /**
     * @param  list<Entry>  $entries
     * @param  list<UnitEntry>  $units
     */
    private function __construct(public array $entries, public array $units)
    {
    }

    /**
     * @param  array<string, PartNames>  $names  of the parts that questions have, by code
     *
     * @throws InvalidBank with every fault of the file
     */
    public static function read(string $file, Shelf $shelf, array $names = []): self
    {
        try {
            $items = Yaml::parseFile($file);
        } catch (ParseException $error) {
            throw InvalidBank::with([basename($file).": {$error->getMessage()}"]);
        }
        $entries = $units = $faults = [];
        foreach (is_array($items) ? $items : [] as $item) {
            $item = is_array($item) ? $item : [];
            try {
                if (isset($item['unit'])) {
                    $units[] = self::unit($item, $shelf);
                }
            } catch (InvalidQuestion $error) {
                $faults[] = basename($file).', '.self::name($item).": {$error->getMessage()}";
            }
            foreach (self::questions($item) as $place => $question) {
                try {
                    $entries[] = QuestionEntry::of(
                        question: $question,
                        shelf: $shelf,
                        names: $names[$question['id'] ?? ''] ?? null,
                        unit: isset($item['unit']) ? (string) $item['id'] : null,
                        place: $place,
                    );
                } catch (InvalidQuestion $error) {
                    $faults[] = basename($file).', '.self::name($question).": {$error->getMessage()}";
                }
            }
        }
        if ($faults !== []) {
            throw InvalidBank::with($faults);
        }

        return new self($entries, $units);
    }

    /**
     * The questions of one list item, those of a series with the options they share.
     *
     * @param  array<mixed>  $item
     * @return list<array<mixed>>
     */
    public static function questions(array $item): array
    {
        if (! isset($item['unit'])) {
            return [$item];
        }
        $questions = array_values(
            array_map(
                fn (mixed $question): array => is_array($question) ? $question : [],
                (array) ($item['questions'] ?? []),
            ),
        );
        if ($item['unit'] !== UnitKind::Series->value) {
            return $questions;
        }

        return array_map(function (array $question) use ($item): array {
            $options = [];
            foreach ((array) ($item['options'] ?? []) as $id => $text) {
                // Options that several statements share keep their places.
                $options[] =
                    ['text' => $text, 'why' => $question['why'][$id] ?? null, 'pinned' => true] +
                    ($id === ($question['key'] ?? null) ? ['key' => true] : []);
            }

            return array_diff_key($question, ['key' => 0, 'why' => 0]) + ['options' => $options];
        }, $questions);
    }

    /**
     * @param  array<mixed>  $item
     * @return UnitEntry
     */
    private static function unit(array $item, Shelf $shelf): array
    {
        if (
            ! is_string($item['id'] ?? null) ||
            UnitKind::tryFrom((string) $item['unit']) === null ||
            ! is_string($item['title'] ?? null)
        ) {
            throw InvalidQuestion::because('A unit needs an id, a title, and to be a case, a passage or a series.');
        }
        /** @var array<string, mixed> $shown */
        $shown = $shelf->linked(array_intersect_key($item, ['title' => 0, 'text' => 0, 'exhibits' => 0]));

        return ['code' => $item['id'], 'kind' => $item['unit'], 'shown' => $shown];
    }

    /** @param  array<mixed>  $item */
    private static function name(array $item): string
    {
        return is_string($item['id'] ?? null) ? $item['id'] : 'a question without an id';
    }
}
