<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookFile;
use App\Media\Shelf;
use Closure;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * An exam as a folder of text files: exam.yaml, questions/, handbook/, lessons/, tables/, papers/, series/, pictures/
 * and sound/.
 *
 * @phpstan-import-type Entry from QuestionEntry
 * @phpstan-import-type UnitEntry from QuestionFile
 * @phpstan-import-type Section from HandbookFile
 * @phpstan-import-type Step from HandbookFile
 *
 * @phpstan-type Page array{
 *     code: string, chapter: string, title: string, body: string, lesson: list<Step>|null
 * }
 * @phpstan-type Sheet array{
 *     slug: string, name: string, summary: string, position?: int, rules: array<string, mixed>,
 *     topics: list<array{
 *         code: string, name: string, weight: string, subtopics: list<array{code: string, name: string}>
 *     }>
 * }
 * @phpstan-type PaperSheet array{code: string, title: string, sections: array<string, list<string>>}
 * @phpstan-type SeriesSheet array{
 *     code: string, title: string, about: string,
 *     tests: list<array{
 *         code: string, title: string, mode: string, minutes?: int, attempts?: int, questions: list<string>
 *     }>
 * }
 */
final readonly class ExamFolder
{
    /**
     * @param  Sheet  $sheet
     * @param  list<Entry>  $entries
     * @param  list<UnitEntry>  $units
     * @param  list<Page>  $handbook
     * @param  list<Section>  $tables
     * @param  list<PaperSheet>  $papers
     * @param  list<SeriesSheet>  $series
     */
    private function __construct(
        public array $sheet,
        public array $entries,
        public array $units,
        public array $handbook,
        public array $tables,
        public array $papers,
        public array $series,
        public Shelf $shelf,
    ) {
    }

    /**
     * @param  (Closure(string): array<string, PartNames>)|null  $names  given the exam's slug, names of the parts that
     *   its
     *                                                                   questions have, by code; null: all are new
     *
     * @throws InvalidBank with every fault found
     */
    public static function read(string $folder, ?Closure $names = null): self
    {
        $shelf = Shelf::of($folder);
        $entries = $units = $faults = [];
        $sheet = self::yaml("{$folder}/exam.yaml", $faults);
        $slug = is_string($sheet['slug'] ?? null) ? $sheet['slug'] : '';
        $known = $names === null ? [] : $names($slug);
        foreach (glob("{$folder}/questions/*.yaml") ?: [] as $path) {
            try {
                $file = QuestionFile::read($path, $shelf, $known);
                array_push($entries, ...$file->entries);
                array_push($units, ...$file->units);
            } catch (InvalidBank $invalid) {
                $faults[] = $invalid->getMessage();
            }
        }
        array_push($faults, ...ExamSheet::faults($sheet));
        $sheets = function (string $part) use ($folder, &$faults): array {
            $sheets = [];
            foreach (glob("{$folder}/{$part}/*.yaml") ?: [] as $path) {
                $sheets[] = ['code' => basename($path, '.yaml')] + self::yaml($path, $faults);
            }

            return $sheets;
        };
        $papers = $sheets('papers');
        $series = $sheets('series');
        array_push($faults, ...SeriesSheets::malformed($series));
        $pages = self::pages($folder, 'handbook', $shelf);
        /** @var array<string, list<Step>> $lessons */
        $lessons = $shelf->linked(HandbookFile::lessons("{$folder}/lessons"));
        foreach (array_diff(array_keys($lessons), array_column($pages, 'code')) as $code) {
            $faults[] = "lessons/{$code}.md: the handbook has no section \"{$code}\".";
        }
        if ($faults !== []) {
            throw InvalidBank::with($faults);
        }

        /** @var Sheet $sheet */
        /** @var list<PaperSheet> $papers */
        /** @var list<SeriesSheet> $series */
        return new self(
            sheet: $sheet,
            entries: $entries,
            units: $units,
            handbook: array_map(
                fn (array $page): array => $page + ['lesson' => $lessons[$page['code']] ?? null],
                $pages,
            ),
            tables: self::pages($folder, 'tables', $shelf),
            papers: $papers,
            series: $series,
            shelf: $shelf,
        );
    }

    /** @return list<Section> */
    private static function pages(string $folder, string $part, Shelf $shelf): array
    {
        /** @var list<Section> $pages */
        $pages = $shelf->linked(HandbookFile::folder("{$folder}/{$part}"));

        return $pages;
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
