<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use App\Bench\TrialServer;
use App\Http\Middleware\SecurityHeaders;
use Tests\Feature\TestCase;

/** Files that never reach Laravel, as PHP's own web server gives them out. */
final class StaticFilesTest extends TestCase
{
    public function test_files_carry_the_same_headers_as_pages_and_nothing_else_is_given_out(): void
    {
        $server = new TrialServer(workers: 1);
        $server->start();
        $ask = fn (string $path, string $more = ''): string => (string) shell_exec(
            "curl -si {$more} --path-as-is ".escapeshellarg("http://{$server->address}{$path}"),
        );
        $icon = $ask('/icon.svg');
        self::assertStringContainsString('200 OK', $icon);
        self::assertStringContainsString('Content-Type: image/svg+xml', $icon);
        self::assertStringEndsWith((string) file_get_contents(public_path('icon.svg')), $icon);
        foreach (SecurityHeaders::ALWAYS as $name => $value) {
            self::assertStringContainsString("{$name}: {$value}", $icon);
        }
        $this->checkCompressed($server->address);
        preg_match('/ETag: (\S+)/', $icon, $tag);
        self::assertStringContainsString('304 Not Modified', $ask('/icon.svg', "-H 'If-None-Match: {$tag[1]}'"));
        $others = ['/../composer.json', '/..%2fcomposer.json', '/index.php', '/icon.svg%00', '/build/', '/.htaccess'];
        foreach ($others as $path) {
            $said = $ask($path);
            self::assertStringNotContainsString('laravel/framework', $said, $path);
            self::assertStringNotContainsString('<?php', $said, $path);
            self::assertStringContainsString('X-Content-Type-Options: nosniff', $said, $path);
        }
    }

    private function checkCompressed(string $address): void
    {
        $folder = public_path('build/assets');
        is_dir($folder) || mkdir($folder, 0755, true);
        $file = "{$folder}/a-test.js";
        file_put_contents($file, 'plain');
        file_put_contents("{$file}.gz", (string) gzencode('squeezed'));
        try {
            $ask = fn (string $encodings): string => (string) shell_exec(
                "curl -si -H 'Accept-Encoding: {$encodings}' ".escapeshellarg("http://{$address}/build/assets/a-test.js"),
            );
            self::assertStringEndsWith('plain', $ask('identity'));
            self::assertStringEndsWith('plain', $ask('gzip;q=0'));
            $squeezed = $ask('br, gzip');
            self::assertStringContainsString('Content-Encoding: gzip', $squeezed);
            self::assertStringContainsString('Vary: Accept-Encoding', $squeezed);
            self::assertStringContainsString('max-age=31536000, immutable', $squeezed);
            self::assertStringContainsString('X-Content-Type-Options: nosniff', $squeezed);
            self::assertStringNotContainsString('Content-Security-Policy', $squeezed);
            self::assertStringEndsWith((string) gzencode('squeezed'), $squeezed);
        } finally {
            array_map(unlink(...), [$file, "{$file}.gz"]);
        }
    }
}
