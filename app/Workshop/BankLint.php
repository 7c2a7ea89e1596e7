<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookFile;
use App\Workshop\Lint\Numbers;
use App\Workshop\Lint\Papers;
use App\Workshop\Lint\Texts;
use App\Workshop\Lint\Units;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** Reads an exam's folder as a strict editor would, and names every fault. */
final class BankLint
{
    /** Two stems that share this much of their words are one question too many. */
    private const ALIKE = 0.8;

    /** Always choosing the longest option must score below this. */
    private const LONGEST_BELOW = 0.35;

    /** No place may hold the key much more often than another. */
    private const PLACE_SHARE = [0.17, 0.33];

    private const LAZY = '/\b(all|none|both|any|neither) (of (the|these)|answers)\b|\ball above\b/i';

    /**
     * @param  string  $folder  with exam.yaml and questions/*.yaml
     * @return array{faults: list<string>, counts: array<string, array<array-key, int>>} counts by kind, topic and
     *   difficulty
     */
    public function of(string $folder): array
    {
        $faults = $items = [];
        foreach (glob("{$folder}/questions/*.yaml") ?: [] as $file) {
            array_push($faults, ...$this->schemaFaults($file));
            foreach ((array) Yaml::parseFile($file) as $item) {
                $items[] = (array) $item;
            }
        }
        $questions = array_merge([], ...array_map(QuestionFile::questions(...), $items));
        try {
            $read = ExamFolder::read($folder);
        } catch (InvalidBank $invalid) {
            $faults[] = $invalid->getMessage();
        }
        if ($faults === [] && isset($read)) {
            $texts = $this->texts($folder, $items);
            $faults = [
                ...$this->blueprintFaults($read->sheet, $questions),
                ...$this->handbookFaults($read->handbook, $questions),
                ...$this->repeated($questions),
                ...$this->giveaways($questions),
                ...Units::faults($items),
                ...Units::gapFaults($questions),
                ...Numbers::faults($questions),
                ...Papers::faults($read),
                ...Texts::mediaFaults($read->shelf, $texts),
                ...Texts::formulaFaults($texts),
            ];
        }

        return [
            'faults' => $faults,
            'counts' => $this->counts($questions) + [
                'unit' => array_count_values(array_map(strval(...), array_column($items, 'unit'))),
            ],
        ];
    }

    /**
     * @param  list<array<mixed>>  $items
     * @return array<string, mixed> everything that is shown as Markdown, by what it belongs to
     */
    private function texts(string $folder, array $items): array
    {
        $texts = array_column($items, null, 'id');
        foreach (
            [...HandbookFile::folder("{$folder}/handbook"), ...HandbookFile::folder("{$folder}/tables")] as $page
        ) {
            $texts[$page['code']] = $page['body'];
        }

        return $texts;
    }

    /** @return list<string> */
    private function schemaFaults(string $file): array
    {
        $schema = (string) file_get_contents(database_path('demo/question.schema.json'));
        $result = (new Validator())
            ->setMaxErrors(20)
            ->setStopAtFirstError(false)
            ->validate(json_decode((string) json_encode(Yaml::parseFile($file))), $schema);
        if ($result->error() === null) {
            return [];
        }
        $faults = [];
        foreach ((new ErrorFormatter())->format($result->error()) as $place => $messages) {
            $faults[] = basename($file)."{$place}: ".implode(' ', $messages);
        }

        return $faults;
    }

    /**
     * @param  array<mixed>  $sheet
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private function blueprintFaults(array $sheet, array $questions): array
    {
        $weight = array_sum(array_map(fn (array $topic): float => (float) $topic['weight'], (array) $sheet['topics']));
        $faults =
            abs($weight - 100) < 1e-9 ? [] : ["exam.yaml: the weights of the topics add up to {$weight}, not to 100."];
        $known = array_merge(
            ...array_map(
                fn (array $topic): array => array_column($topic['subtopics'], 'code'),
                (array) $sheet['topics'],
            ),
        );
        foreach ($questions as $question) {
            if (! in_array($question['subtopic'], $known, true)) {
                $faults[] = "{$question['id']}: there is no subtopic \"{$question['subtopic']}\".";
            }
        }
        foreach (array_diff($known, array_column($questions, 'subtopic')) as $empty) {
            $faults[] = "Subtopic {$empty} has no question.";
        }

        return $faults;
    }

    /**
     * @param  list<array{code: string, title: string, body: string, chapter: string}>  $sections
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private function handbookFaults(array $sections, array $questions): array
    {
        $faults = [];
        foreach ($sections as $section) {
            if ($section['title'] === '' || mb_strlen($section['body']) < 200) {
                $faults[] = "Handbook section {$section['code']} has no title or says hardly anything.";
            }
        }
        $known = array_column($sections, 'code');
        foreach (
            array_diff(array_unique(array_merge([], ...array_column($questions, 'references'))), $known) as $dead
        ) {
            $faults[] = "References name the handbook section \"{$dead}\", which does not exist.";
        }

        return $faults;
    }

    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private function repeated(array $questions): array
    {
        $faults = [];
        foreach (array_count_values(array_column($questions, 'id')) as $id => $n) {
            if ($n > 1) {
                $faults[] = "{$id}: {$n} questions have this id.";
            }
        }
        $words = array_map(
            fn (array $question): array => array_flip(
                preg_split('/\W+/u', mb_strtolower((string) $question['stem']), -1, PREG_SPLIT_NO_EMPTY) ?: [],
            ),
            $questions,
        );
        foreach ($words as $i => $mine) {
            for ($j = $i + 1; $j < count($words); $j++) {
                $shared = count(array_intersect_key($mine, $words[$j]));
                if ($shared >= self::ALIKE * (count($mine) + count($words[$j]) - $shared)) {
                    $faults[] = "{$questions[$i]['id']} and {$questions[$j]['id']} ask nearly the same.";
                }
            }
        }

        return $faults;
    }

    /**
     * What lets somebody score who knows nothing.
     *
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private function giveaways(array $questions): array
    {
        $faults = [];
        $places = [0, 0, 0, 0];
        $longest = $singles = 0;
        foreach ($questions as $question) {
            $options = (array) ($question['options'] ?? []);
            foreach ($options as $option) {
                if (preg_match(self::LAZY, (string) $option['text']) === 1) {
                    $faults[] = "{$question['id']}: \"{$option['text']}\" is no option worth thinking about.";
                }
            }
            // The options of a series are the same for all its statements, so their places and lengths say nothing.
            if (($question['kind'] ?? 'single') !== 'single' || isset($options[0]['pinned'])) {
                continue;
            }
            $singles++;
            $key = (int) array_search(
                true,
                array_map(fn (array $option): bool => ($option['key'] ?? false) === true, $options),
                true,
            );
            $places[min($key, 3)]++;
            $lengths = array_map(fn (array $option): int => mb_strlen((string) $option['text']), $options);
            $ties = array_keys($lengths, max([0, ...$lengths]), true);
            $longest += in_array($key, $ties, true) ? 1 / count($ties) : 0;
        }
        if ($singles > 0 && $longest / $singles >= self::LONGEST_BELOW) {
            $faults[] = sprintf(
                'Always choosing the longest option scores %.1f %%; it must stay below 35 %%.',
                (100 * $longest) / $singles,
            );
        }
        foreach ($places as $place => $n) {
            if ($singles >= 20 && ($n / $singles < self::PLACE_SHARE[0] || $n / $singles > self::PLACE_SHARE[1])) {
                $faults[] = sprintf(
                    'The key stands in place %s in %.1f %% of the single-answer questions.',
                    'ABCD'[$place],
                    (100 * $n) / $singles,
                );
            }
        }

        return $faults;
    }

    /**
     * @param  list<array<mixed>>  $questions
     * @return array<string, array<array-key, int>>
     */
    private function counts(array $questions): array
    {
        $by = fn (callable $name): array => array_count_values(array_map($name, $questions));

        return [
            'kind' => $by(fn (array $question): string => (string) ($question['kind'] ?? 'single')),
            'topic' => $by(fn (array $question): string => explode('.', (string) ($question['subtopic'] ?? '?'))[0]),
            'difficulty' => $by(fn (array $question): string => (string) ($question['difficulty'] ?? '?')),
        ];
    }
}
