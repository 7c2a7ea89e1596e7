<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

use App\Media\Shelf;
use Symfony\Component\Process\Process;

/** Pictures, sounds and films that texts mention, and TeX that must parse. */
final class Texts
{
    private const FILE_AT_MOST = 1_000_000;

    private const ALL_AT_MOST = 15_000_000;

    private const FORMULA = '/(?<![\\\\$])\$\$(.+?)\$\$|(?<![\\\\$])\$([^$\n]+?)(?<!\\\\)\$/su';

    /**
     * @param  array<string, mixed>  $texts  by what they belong to
     * @return list<string>
     */
    public static function mediaFaults(Shelf $shelf, array $texts): array
    {
        $faults = $used = [];
        foreach ($texts as $owner => $text) {
            foreach (Shelf::mentions($text) as ['file' => $file, 'alt' => $alt, 'written' => $written]) {
                $used[$file] = true;
                if (! $shelf->has($file)) {
                    $faults[] = "{$owner}: there is no file \"{$file}\".";
                }
                if ($alt === '') {
                    $faults[] = "{$owner}: \"{$file}\" has no alternative text.";
                }
                if ($written === '' && preg_match('/\.(mp3|mp4|webm)$/', $file) === 1) {
                    $faults[] = "{$owner}: \"{$file}\" has no written version.";
                }
            }
        }
        foreach (self::pictures($texts) as $file => $owner) {
            $used[$file] = true;
        }
        $total = 0;
        foreach ($shelf->paths() as $file => $path) {
            $total += $bytes = (int) filesize($path);
            if ($bytes > self::FILE_AT_MOST) {
                $faults[] = "{$file} has {$bytes} bytes; 1 MB is the most.";
            }
            if (! isset($used[$file])) {
                $faults[] = "{$file} is mentioned nowhere.";
            }
        }

        return $total > self::ALL_AT_MOST
            ? [...$faults, "The media have {$total} bytes in all; 15 MB is the most."]
            : $faults;
    }

    /**
     * Every formula, parsed by the library that will show it.
     *
     * @param  array<string, mixed>  $texts  by what they belong to
     * @return list<string>
     */
    public static function formulaFaults(array $texts): array
    {
        $formulas = [];
        foreach ($texts as $owner => $text) {
            foreach (self::strings($text) as $one) {
                preg_match_all(self::FORMULA, $one, $found, PREG_SET_ORDER);
                foreach ($found as $match) {
                    $formulas[] = ['owner' => $owner, 'tex' => ($match[1] ?? '') !== '' ? $match[1] : $match[2] ?? ''];
                }
            }
        }
        if ($formulas === []) {
            return [];
        }
        $parser = new Process(
            ['node', __DIR__.'/parse-tex.mjs'],
            base_path(),
            null,
            (string) json_encode($formulas),
        );
        $parser->run();

        return $parser->isSuccessful()
            ? array_values((array) json_decode($parser->getOutput(), true))
            : ['The TeX could not be parsed: '.trim($parser->getErrorOutput())];
    }

    /**
     * @param  array<string, mixed>  $texts
     * @return array<string, string> owner by file, of pictures to point at
     */
    private static function pictures(array $texts): array
    {
        $files = [];
        foreach ($texts as $owner => $text) {
            $file = is_array($text) && is_array($text['picture'] ?? null) ? $text['picture']['file'] ?? null : null;
            if (is_string($file)) {
                $files[$file] = $owner;
            }
        }

        return $files;
    }

    /** @return list<string> */
    private static function strings(mixed $value): array
    {
        return is_array($value)
            ? array_merge([], ...array_map(self::strings(...), array_values($value)))
            : (is_string($value)
                ? [$value]
                : []);
    }
}
