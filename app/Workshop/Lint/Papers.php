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
        $words = $folder->sheet['rules']['words'] ?? [];
        if (! is_array($words) || array_filter($words, is_string(...)) !== $words) {
            return ['exam.yaml: The rules in words must be a list of sentences.'];
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
            array_push(
                $faults,
                ...array_map(
                    fn (string $fault): string => "Paper {$paper['code']}: {$fault}",
                    $blueprint->faults($items, array_column($folder->sheet['topics'], 'weight')),
                ),
                ...Asked::faults("Paper {$paper['code']}", array_merge(...array_values($paper['sections'])), $folder),
            );
        }

        return $faults;
    }
}
