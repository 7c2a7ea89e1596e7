<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use PHPUnit\Framework\TestCase;

/** The short form of ./uplandia load: twenty people who answer at once lose nothing, and no save fails. */
final class LoadTest extends TestCase
{
    public function test_twenty_people_at_once_lose_nothing_and_no_save_fails(): void
    {
        $file = sys_get_temp_dir().'/uplandia-load-'.getmypid().'.sqlite';
        touch($file);
        foreach (['migrate --force', 'demo:load --cohort=0', 'load --people=20 --seconds=10 --pause=0.2 --workers=4'] as $command) {
            [$code, $said] = $this->artisan($command, $file);
            self::assertSame(0, $code, $said);
        }
        array_map(unlink(...), glob("{$file}*") ?: []);

        self::assertStringContainsString('missing: 0', $said);
        // By the first column: the second, how many saves there were, may be any number, 504 too.
        self::assertMatchesRegularExpression('/^\| 200 +\| +\d{3}/m', $said);
        self::assertDoesNotMatchRegularExpression('/^\| (?!20[04] |Status )/m', $said);
    }

    /** @return array{int, string} */
    private function artisan(string $command, string $file): array
    {
        $environment = [
            'DB_DATABASE' => $file, 'UPLANDIA_DEMO' => 'true', 'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file',
            'LOG_CHANNEL' => 'app', 'APP_ENV' => 'local', 'BCRYPT_ROUNDS' => '4',
        ];
        $root = dirname(__DIR__, 3);
        $process = proc_open("php artisan {$command} 2>&1", [1 => ['pipe', 'w']], $pipes, $root, $environment + getenv());
        self::assertNotFalse($process);
        $said = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $said];
    }
}
