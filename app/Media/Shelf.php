<?php

declare(strict_types=1);

namespace App\Media;

/**
 * The pictures, sounds and films of an exam's folder, by the names that its texts use. A file is served under a name
 * made of its contents, so that a question's version keeps the picture it was written with.
 *
 * A region is one shape, such as {circle: [x, y, radius]}, in shares of the picture.
 *
 * @phpstan-type Region array<string, list<mixed>>
 */
final readonly class Shelf
{
    public const TYPES = [
        'svg' => 'image/svg+xml',
        'png' => 'image/png',
        'jpg' => 'image/jpeg',
        'mp3' => 'audio/mpeg',
        'mp4' => 'video/mp4',
        'webm' => 'video/webm',
    ];

    /** `![alternative text](file.svg "written version")`. */
    private const MENTION = '/!\[([^\]]*)\]\(([\w.-]+?\.(?:svg|png|jpg|mp3|mp4|webm))(?:\s+"([^"]*)")?\)/u';

    /**
     * @param  array<string, string>  $paths  by file name
     * @param  array<string, array<string, Region>>  $regions  picture => name => shape
     */
    private function __construct(private array $paths, private array $regions)
    {
    }

    /** @param  string  $folder  of an exam; its media stand in pictures/ and sound/ */
    public static function of(string $folder): self
    {
        $paths = [];
        foreach (['pictures', 'sound'] as $shelf) {
            foreach (glob("{$folder}/{$shelf}/*") ?: [] as $path) {
                if (isset(self::TYPES[pathinfo($path, PATHINFO_EXTENSION)])) {
                    $paths[basename($path)] = $path;
                }
            }
        }
        $file = "{$folder}/pictures/regions.json";

        return new self($paths, is_file($file) ? (array) json_decode((string) file_get_contents($file), true) : []);
    }

    /** A shelf with nothing on it. */
    public static function none(): self
    {
        return new self([], []);
    }

    /** @return array<string, string> path by the name under which the file is served */
    public function files(): array
    {
        $files = [];
        foreach (array_keys($this->paths) as $file) {
            $files[$this->servedAs($file)] = $this->paths[$file];
        }

        return $files;
    }

    /** @return array<string, string> path by file name */
    public function paths(): array
    {
        return $this->paths;
    }

    public function has(string $file): bool
    {
        return isset($this->paths[$file]);
    }

    /** Where a browser finds the file. */
    public function address(string $file): string
    {
        return '/media/'.$this->servedAs($file);
    }

    /**
     * The same value with every mention of a file in its texts turned into an address.
     *
     * @return ($value is array ? array<mixed> : mixed)
     */
    public function linked(mixed $value): mixed
    {
        if (is_array($value)) {
            return array_map($this->linked(...), $value);
        }

        return is_string($value) && str_contains($value, '![')
            ? preg_replace_callback(
                self::MENTION,
                fn (array $found): string => $this->has($found[2])
                    ? "![{$found[1]}]({$this->address($found[2])}".(isset($found[3]) ? " \"{$found[3]}\"" : '').')'
                    : $found[0],
                $value,
            )
            : $value;
    }

    /**
     * What a text mentions.
     *
     * @return list<array{file: string, alt: string, written: string}>
     */
    public static function mentions(mixed $value): array
    {
        if (is_array($value)) {
            return array_merge([], ...array_map(self::mentions(...), array_values($value)));
        }
        if (! is_string($value) || ! str_contains($value, '![')) {
            return [];
        }
        preg_match_all(self::MENTION, $value, $found, PREG_SET_ORDER);

        return array_map(
            fn (array $one): array => ['file' => $one[2], 'alt' => trim($one[1]), 'written' => trim($one[3] ?? '')],
            $found,
        );
    }

    /**
     * The size a picture was drawn at, from its view box.
     *
     * @return array{int, int}|null width and height
     */
    public function size(string $file): ?array
    {
        $drawing = $this->has($file) ? (string) file_get_contents($this->paths[$file]) : '';

        return preg_match('/viewBox="0 0 ([\d.]+) ([\d.]+)"/', $drawing, $box) === 1
            ? [(int) $box[1], (int) $box[2]]
            : null;
    }

    /** @return Region|null */
    public function region(string $picture, string $name): ?array
    {
        return $this->regions[$picture][$name] ?? null;
    }

    private function servedAs(string $file): string
    {
        return substr((string) hash_file('sha256', $this->paths[$file]), 0, 32).
            '.'.
            pathinfo($file, PATHINFO_EXTENSION);
    }
}
