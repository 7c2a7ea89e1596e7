<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookFile;
use App\Workshop\Lint\Giveaways;
use App\Workshop\Lint\Numbers;
use App\Workshop\Lint\Papers;
use App\Workshop\Lint\Pictures;
use App\Workshop\Lint\Reasons;
use App\Workshop\Lint\Sections;
use App\Workshop\Lint\Texts;
use App\Workshop\Lint\Units;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** Reads an exam's folder as a strict editor would, and names every fault. */
final class BankLint
{
    private const FEWEST_STEPS = 3;

    /** Of a step. */
    private const FEWEST_WORDS = 30;

    /** Two stems that share this much of their words are one question too many. */
    private const ALIKE = 0.8;

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
                ...Sections::faults($read->handbook, $questions),
                ...$this->lessonFaults($read->handbook),
                ...$this->repeated($questions),
                ...Giveaways::faults($questions),
                ...Reasons::faults($items),
                ...Reasons::stepFaults($questions),
                ...Units::faults($items),
                ...Units::gapFaults($questions),
                ...Numbers::faults($questions),
                ...Papers::faults($read),
                ...Pictures::faults($folder, $questions),
                ...SeriesSheets::faults($read),
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
        foreach (HandbookFile::lessons("{$folder}/lessons") as $code => $steps) {
            $texts["lesson {$code}"] = $steps;
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
        $faults = [];
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
     * @param  list<array{code: string, lesson: list<array{title: string, body: string}>|null, ...}>  $sections
     * @return list<string>
     */
    private function lessonFaults(array $sections): array
    {
        $faults = [];
        foreach ($sections as ['code' => $code, 'lesson' => $steps]) {
            if ($steps !== null && count($steps) < self::FEWEST_STEPS) {
                $faults[] = "The lesson {$code} has fewer than ".self::FEWEST_STEPS.' steps.';
            }
            foreach ($steps ?? [] as $i => $step) {
                if ($step['title'] === '' || str_word_count($step['body']) < self::FEWEST_WORDS) {
                    $faults[] = 'Step '.($i + 1)." of the lesson {$code} has no title or says hardly anything.";
                }
            }
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
