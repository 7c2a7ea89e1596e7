<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

use App\Workshop\ExamFolder;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\PaperItem;
use Uplandia\Core\Question\Kind;

/** The blueprint, and the fixed papers that must keep to it. */
final class Papers
{
    /** @return list<string> */
    public static function faults(ExamFolder $folder): array
    {
        try {
            $blueprint = Blueprint::of($folder->sheet['rules']);
        } catch (InvalidRecipe $invalid) {
            return ["exam.yaml: {$invalid->getMessage()}"];
        }
        $entries = array_column($folder->entries, null, 'code');
        $unitKinds = array_column($folder->units, 'kind', 'code');
        $topics = array_flip(array_column($folder->sheet['topics'], 'code'));
        $faults = [];
        foreach ($folder->papers as $paper) {
            $items = [];
            foreach ($paper['sections'] as $section => $codes) {
                foreach ($codes as $code) {
                    $entry = $entries[$code] ?? null;
                    if ($entry === null) {
                        $faults[] = "Paper {$paper['code']}: there is no question \"{$code}\".";

                        continue;
                    }
                    if (($entry['tags']['paper'] ?? null) !== $paper['code']) {
                        $faults[] = "Paper {$paper['code']}: {$code} is tagged with another paper.";
                    }
                    $items[] = new PaperItem(
                        question: $code,
                        section: (string) $section,
                        topic: $topics[explode('.', $entry['topic'])[0]] ?? -1,
                        kind: Kind::from($entry['kind']),
                        unit: $entry['unit'],
                        unitKind: $unitKinds[$entry['unit'] ?? ''] ?? null,
                    );
                }
            }
            $named = array_column($items, 'question');
            if (count(array_unique($named)) !== count($named)) {
                $faults[] = "Paper {$paper['code']} asks a question twice.";
            }
            array_push(
                $faults,
                ...array_map(
                    fn (string $fault): string => "Paper {$paper['code']}: {$fault}",
                    $blueprint->faults($items, array_column($folder->sheet['topics'], 'weight')),
                ),
                ...self::tornUnits($paper['code'], $items, $folder),
            );
        }

        return $faults;
    }

    /**
     * Units are asked whole, and in order.
     *
     * @param  list<PaperItem>  $items
     * @return list<string>
     */
    private static function tornUnits(string $paper, array $items, ExamFolder $folder): array
    {
        $whole = [];
        foreach ($folder->entries as $entry) {
            $whole[$entry['unit'] ?? ''][] = $entry['code'];
        }
        $asked = implode(' ', array_column($items, 'question'));
        $faults = [];
        foreach (array_unique(array_filter(array_column($items, 'unit'))) as $unit) {
            if (! str_contains(" {$asked} ", ' '.implode(' ', $whole[$unit]).' ')) {
                $faults[] = "Paper {$paper}: {$unit} is not asked whole and in order.";
            }
        }

        return $faults;
    }
}
