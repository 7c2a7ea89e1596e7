<?php

declare(strict_types=1);

namespace Tests\House;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

final class SourceFiles
{
    /** @return iterable<string, string> code by path below a folder of the project */
    public static function under(string $root): iterable
    {
        $folder = dirname(__DIR__, 2)."/{$root}";
        $files = new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($files) as $file) {
            if ($file instanceof SplFileInfo && preg_match('/\.(php|tsx?)$/', $file->getFilename()) === 1) {
                $path = substr($file->getPathname(), strlen($folder) + 1);
                yield $path => (string) file_get_contents($file->getPathname());
            }
        }
    }
}
