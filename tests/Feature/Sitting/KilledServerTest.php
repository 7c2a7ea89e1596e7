<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use PHPUnit\Framework\TestCase;
use RuntimeException;

/** A real server on a real file, killed without warning in mid-sitting. */
final class KilledServerTest extends TestCase
{
    private const KILLS = 100;

    private string $folder;

    /** @var resource|null */
    private $server = null;

    private int $pid = 0;

    /** @var list<resource> kept open, as a browser would */
    private array $sent = [];

    private int $port = 0;

    private string $cookies = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/uplandia-kill-'.getmypid();
        @mkdir($this->folder);
        touch("{$this->folder}/uplandia.sqlite");
        $this->artisan('migrate --force');
        $this->artisan('demo:load');
    }

    protected function tearDown(): void
    {
        $this->kill();
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
    }

    public function test_no_acknowledged_answer_is_lost_when_the_server_is_killed(): void
    {
        $this->start();
        $this->ask('GET', '/api/session');
        self::assertSame(200, $this->ask('POST', '/api/session/demo', ['person' => 'wren'])[0]);
        [$status, $built] = $this->ask('POST', '/api/exams/refuge-warden/tests', [
            'topics' => ['radio', 'book'],
            'kinds' => ['single'],
            'pools' => [],
            'count' => 20,
            'mode' => 'timed',
        ]);
        self::assertSame(201, $status);
        [, $opened] = $this->ask('POST', "/api/sittings/{$built['sitting']}/open", ['tab' => 'tab']);
        $acknowledged = [];
        $path = "/api/sittings/{$built['sitting']}/events";
        for ($round = 0; $round < self::KILLS; $round++) {
            $position = $round % 20;
            $choice = $opened['questions'][$position]['body']['options'][$round % 4]['id'];
            $event = ['seq' => 2 * $round + 10, 'position' => $position];
            $answer = ['id' => "a{$round}", 'kind' => 'answered', 'value' => ['choice' => $choice]] + $event;
            [$status] = $this->ask('POST', $path, ['tab' => 'tab', 'events' => [$answer]]);
            self::assertSame(200, $status, "Signed out or refused after {$round} kills.");
            $acknowledged[$position] = $choice;
            // The next save is on its way, and the server dies at some moment of it.
            $flag = ['id' => "f{$round}", 'seq' => $event['seq'] + 1, 'kind' => 'flagged', 'value' => true] + $event;
            $this->post($path, ['tab' => 'tab', 'events' => [$flag]]);
            usleep(400 * $round);
            $this->kill();
            $this->start();
        }
        [, $again] = $this->ask('POST', "/api/sittings/{$built['sitting']}/open", ['tab' => 'tab']);

        self::assertSame(
            $acknowledged,
            array_map(
                fn (array $question): ?string => $question['response']['choice'] ?? null,
                $again['state']['questions'],
            ),
        );
        self::assertSame('active', $again['state']['status']);
    }

    /**
     * Sends a request and does not wait for the answer.
     *
     * @param  array<string, mixed>  $body
     */
    private function post(string $path, array $body): void
    {
        $socket = stream_socket_client("tcp://127.0.0.1:{$this->port}") ?: throw new RuntimeException('No server.');
        $json = json_encode($body, JSON_THROW_ON_ERROR);
        preg_match('/XSRF-TOKEN=([^;]+)/', $this->cookies, $token);
        fwrite($socket, implode("\r\n", [
            "POST {$path} HTTP/1.1", "Host: 127.0.0.1:{$this->port}", 'Content-Type: application/json',
            'Accept: application/json', "Cookie: {$this->cookies}", 'X-XSRF-TOKEN: '.urldecode($token[1] ?? ''),
            'Content-Length: '.strlen($json), '', $json,
        ]));
        $this->sent[] = $socket;
    }

    private function start(): void
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $root = dirname(__DIR__, 3);
        $server = proc_open(
            ['php', '-S', "127.0.0.1:{$this->port}", '-t', "{$root}/public", "{$root}/bootstrap/serve.php"],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            $root,
            $this->environment(),
        );
        $this->server = $server === false ? throw new RuntimeException('The server did not start.') : $server;
        $this->pid = proc_get_status($this->server)['pid'];
        for ($i = 0; $i < 500; $i++) {
            if (@fsockopen('127.0.0.1', $this->port) !== false) {
                return;
            }
            usleep(10_000);
        }
        throw new RuntimeException('The server does not answer.');
    }

    private function kill(): void
    {
        if ($this->server !== null) {
            posix_kill($this->pid, SIGKILL);
            proc_close($this->server);
            $this->server = null;
        }
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, array<string, mixed>}
     */
    private function ask(string $method, string $path, ?array $body = null): array
    {
        preg_match('/XSRF-TOKEN=([^;]+)/', $this->cookies, $token);
        $answer = file_get_contents(
            "http://127.0.0.1:{$this->port}{$path}",
            false,
            stream_context_create([
                'http' => [
                    'method' => $method,
                    'ignore_errors' => true,
                    'content' => $body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR),
                    'header' => "Content-Type: application/json\r\nAccept: application/json\r\nCookie: {$this->cookies}\r\nX-XSRF-TOKEN: ".
                        urldecode($token[1] ?? ''),
                ],
            ]),
        );
        $cookies = [];
        foreach ($http_response_header as $header) {
            if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/', $header, $cookie) === 1) {
                $cookies[] = "{$cookie[1]}={$cookie[2]}";
            }
        }
        $this->cookies = $cookies === [] ? $this->cookies : implode('; ', $cookies);

        return [(int) explode(' ', $http_response_header[0])[1], (array) json_decode((string) $answer, true)];
    }

    private function artisan(string $command): void
    {
        $root = dirname(__DIR__, 3);
        $process = proc_open(
            "php artisan {$command}",
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            $root,
            $this->environment(),
        );
        $said = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);
        if ($process === false || proc_close($process) !== 0) {
            throw new RuntimeException("artisan {$command} failed: {$said}");
        }
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'DB_DATABASE' => "{$this->folder}/uplandia.sqlite",
            'UPLANDIA_DEMO' => 'true',
            'UPLANDIA_DOORS_PER_MINUTE' => '1000000',
            'SESSION_DRIVER' => 'file',
            'CACHE_STORE' => 'file',
            'LOG_CHANNEL' => 'app',
            'APP_ENV' => 'local',
        ] + getenv();
    }
}
