<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** core/ knows nothing of the framework, the database, the wall clock or unseeded chance. */
final class CorePurityTest extends TestCase
{
    public function test_core_imports_only_itself_brick_math_and_php(): void
    {
        $foreign = [];
        foreach ($this->sources() as $file => $code) {
            preg_match_all('/^use (?:function )?\\\\?([\w\\\\]+)/m', $code, $uses);
            preg_match_all('/(?<![\w\\\\])\\\\((?:[A-Z]\w+\\\\)+[A-Z]\w+)/', $code, $inline);
            foreach ([...$uses[1], ...$inline[1]] as $name) {
                $allowed =
                    str_starts_with($name, 'Uplandia\\Core\\') ||
                    str_starts_with($name, 'Brick\\Math\\') ||
                    str_starts_with($name, 'Psr\\') ||
                    str_starts_with($name, 'Random\\') ||
                    ! str_contains($name, '\\');
                if (! $allowed) {
                    $foreign[] = "{$file}: {$name}";
                }
            }
        }

        self::assertSame([], $foreign);
    }

    public function test_core_reads_no_clock_no_file_and_no_unseeded_chance(): void
    {
        $found = [];
        foreach ($this->sources() as $file => $code) {
            if (
                preg_match(
                    '/(?<![\w>:$])(time|microtime|hrtime|date|rand|mt_rand|random_int|random_bytes|uniqid|shuffle|array_rand|file_get_contents|fopen|getenv|header|echo|print)\s*\(|\$_(GET|POST|SERVER|ENV)|new \\\\?DateTime|\bglobal \$/',
                    $this->withoutComments($code),
                    $match,
                ) === 1
            ) {
                $found[] = "{$file}: {$match[0]}";
            }
        }

        self::assertSame([], $found);
    }

    /** @return array<string, string> path => code */
    private function sources(): array
    {
        $root = dirname(__DIR__, 2).'/core';
        $sources = [];
        $files = new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS);
        foreach (new \RecursiveIteratorIterator($files) as $file) {
            $sources[substr((string) $file, strlen($root) + 1)] = (string) file_get_contents((string) $file);
        }
        self::assertNotEmpty($sources);

        return $sources;
    }

    private function withoutComments(string $code): string
    {
        return implode(
            '',
            array_map(
                fn (array|string $token): string => is_array($token)
                    ? (in_array($token[0], [T_COMMENT, T_DOC_COMMENT], true)
                        ? ''
                        : $token[1])
                    : $token,
                token_get_all($code),
            ),
        );
    }
}
