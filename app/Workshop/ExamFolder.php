<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookFile;
use App\Media\Shelf;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * An exam as a folder of text files: exam.yaml, questions/, handbook/, tables/, papers/, pictures/ and sound/.
 *
 * @phpstan-import-type Entry from QuestionEntry
 * @phpstan-import-type UnitEntry from QuestionFile
 * @phpstan-import-type Section from HandbookFile
 *
 * @phpstan-type Sheet array{slug: string, name: string, summary: string, position?: int, rules: array<string, mixed>, topics: list<array{code: string, name: string, weight: string, subtopics: list<array{code: string, name: string}>}>}
 * @phpstan-type PaperSheet array{code: string, title: string, sections: array<string, list<string>>}
 */
final readonly class ExamFolder
{
    /**
     * @param  Sheet  $sheet
     * @param  list<Entry>  $entries
     * @param  list<UnitEntry>  $units
     * @param  list<Section>  $handbook
     * @param  list<Section>  $tables
     * @param  list<PaperSheet>  $papers
     */
    private function __construct(public array $sheet, public array $entries, public array $units, public array $handbook, public array $tables, public array $papers, public Shelf $shelf)
    {
    }

    /** @throws InvalidBank with every fault found */
    public static function read(string $folder): self
    {
        $shelf = Shelf::of($folder);
        $entries = $units = $faults = [];
        foreach (glob("{$folder}/questions/*.yaml") ?: [] as $path) {
            try {
                $file = QuestionFile::read($path, $shelf);
                array_push($entries, ...$file->entries);
                array_push($units, ...$file->units);
            } catch (InvalidBank $invalid) {
                $faults[] = $invalid->getMessage();
            }
        }
        $sheet = self::yaml("{$folder}/exam.yaml", $faults);
        if (! is_string($sheet['slug'] ?? null) || ! is_array($sheet['topics'] ?? null)) {
            $faults[] = 'exam.yaml: an exam needs a slug and topics.';
        }
        $papers = [];
        foreach (glob("{$folder}/papers/*.yaml") ?: [] as $path) {
            $papers[] = ['code' => basename($path, '.yaml')] + self::yaml($path, $faults);
        }
        if ($faults !== []) {
            throw InvalidBank::with($faults);
        }
        $linked = fn (string $part): array => $shelf->linked(HandbookFile::folder("{$folder}/{$part}"));

        return new self($sheet, $entries, $units, $linked('handbook'), $linked('tables'), $papers, $shelf);
    }

    /**
     * @param  list<string>  $faults
     * @return array<mixed>
     */
    private static function yaml(string $path, array &$faults): array
    {
        try {
            return is_file($path) ? (array) Yaml::parseFile($path) : [];
        } catch (ParseException $error) {
            $faults[] = basename($path).": {$error->getMessage()}";

            return [];
        }
    }
}
