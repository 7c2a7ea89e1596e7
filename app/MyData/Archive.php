<?php

declare(strict_types=1);

namespace App\MyData;

use App\Http\Refusal;
use JsonException;
use ZipArchive;

/**
 * Reads an archive that somebody brought. Nothing of it is believed: not its names, not its sizes, not its sums. Only
 * files that are looked for are unpacked, in memory, each with a bound; whatever is amiss refuses the whole.
 */
final class Archive
{
    public const PERSON = 'person.json';

    private const MOST_FILES = 25_000;

    /** Of one file that is read, unpacked. */
    private const MOST_BYTES = 24 * 1024 * 1024;

    /** Of all that it says it holds, unpacked. */
    private const MOST_IN_ALL = 1024 * 1024 * 1024;

    /** Brackets, braces and commas of one file: what PHP makes of each takes a hundred times its room. */
    private const MOST_PARTS = 1_500_000;

    private const DEPTH = 32;

    private const NAMES = '#^(manifest\.json|person\.json|sittings/\d{5}\.json|schema/[a-z]+\.schema\.json'.
        '|tables/[a-z]+\.csv|media/[a-z0-9-]+\.[a-z0-9]+)$#D';

    /** @var array<string, string> name => sha256 of what should be in it */
    private array $sums = [];

    private function __construct(private readonly ZipArchive $zip)
    {
    }

    /** @throws Refusal */
    public static function open(string $path): self
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw self::refusal('This file is no archive, or it is damaged.');
        }
        $archive = new self($zip);
        $archive->look();
        $manifest = $archive->json('manifest', 'manifest.json');
        foreach ((array) $manifest['files'] as $file) {
            $archive->sums[(string) $file['name']] = (string) $file['sha256'];
        }

        return $archive;
    }

    /**
     * @return array<string, mixed> as the schema has it
     *
     * @throws Refusal
     */
    public function person(): array
    {
        return $this->json('person', self::PERSON);
    }

    /**
     * @return iterable<string, array<string, mixed>> by name, each as the schema has it
     *
     * @throws Refusal
     */
    public function sittings(): iterable
    {
        $names = array_filter(array_keys($this->sums), fn (string $name): bool => str_starts_with($name, 'sittings/'));
        sort($names);
        foreach ($names as $name) {
            yield $name => $this->json('sitting', $name);
        }
    }

    public static function refusal(string $sentence): Refusal
    {
        return Refusal::unmet('archive', "{$sentence} Nothing was taken in.");
    }

    /** @throws Refusal */
    private function look(): void
    {
        if ($this->zip->numFiles > self::MOST_FILES) {
            throw self::refusal('This archive holds more files than any of ours.');
        }
        $names = [];
        $bytes = 0;
        for ($i = 0; $i < $this->zip->numFiles; $i++) {
            $file = $this->zip->statIndex($i);
            $name = $file['name'] ?? '';
            if ($file === false || preg_match(self::NAMES, $name) !== 1 || isset($names[$name])) {
                throw self::refusal('This archive holds a file that is none of ours.');
            }
            $names[$name] = true;
            $bytes += $file['size'];
            if ($bytes > self::MOST_IN_ALL) {
                throw self::refusal('This archive holds more than any of ours.');
            }
        }
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Refusal
     */
    private function json(string $schema, string $name): array
    {
        $text = $this->read($name);
        $known = $this->sums[$name] ?? null;
        if ($known !== null && ! hash_equals($known, hash('sha256', $text))) {
            throw self::refusal("This archive is damaged: {$name} is not what it was.");
        }
        $parts = substr_count($text, ',') + substr_count($text, '[') + substr_count($text, '{');
        if ($parts > self::MOST_PARTS) {
            throw self::refusal("This archive holds more than any of ours: {$name}.");
        }
        try {
            $fault = Schema::fault($schema, json_decode($text, false, self::DEPTH, JSON_THROW_ON_ERROR));
            /** @var array<string, mixed> $read */
            $read = json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw self::refusal("This archive is damaged: {$name} cannot be read.");
        }
        if ($fault !== null) {
            throw self::refusal("This archive is not as it should be: {$name}, at ".substr($fault, 0, 100).'.');
        }

        return $read;
    }

    /** @throws Refusal */
    private function read(string $name): string
    {
        $stream = $this->zip->getStream($name);
        if ($stream === false) {
            throw self::refusal("This archive is damaged: {$name} is missing or cannot be opened.");
        }
        // What it says of its size may be a lie.
        $text = (string) @stream_get_contents($stream, self::MOST_BYTES + 1);
        fclose($stream);
        if (strlen($text) > self::MOST_BYTES) {
            throw self::refusal("This archive holds more than any of ours: {$name}.");
        }
        if (str_contains($text, '\u0000')) {
            throw self::refusal("This archive is not as it should be: {$name} holds what is no text.");
        }

        return $text;
    }
}
