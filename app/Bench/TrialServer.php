<?php

declare(strict_types=1);

namespace App\Bench;

use RuntimeException;
use Symfony\Component\Process\Process;

/** PHP's own web server with several workers, on a port of its own, over the database of this process. */
final class TrialServer
{
    private const WAIT_MS = 10_000;

    /** @var resource|null */
    private $process = null;

    public readonly string $address;

    public function __construct(private readonly int $workers)
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $this->address = (string) stream_socket_get_name($socket, false);
        fclose($socket);
    }

    public function __destruct()
    {
        $this->stop();
    }

    public function start(): void
    {
        $environment = [
            'PHP_CLI_SERVER_WORKERS' => (string) $this->workers,
            'DB_DATABASE' => (string) config('database.connections.sqlite.database'),
            'UPLANDIA_BENCH' => 'true',
            'UPLANDIA_DOORS_PER_MINUTE' => '1000000',
            'UPLANDIA_REQUESTS_PER_MINUTE' => '1000000',
            'APP_URL' => "http://{$this->address}",
            ...$this->readAhead(),
        ];
        $nothing = ['file', '/dev/null', 'r+'];
        foreach (['config:cache', 'route:cache'] as $command) {
            (new Process([PHP_BINARY, 'artisan', $command], base_path(), $environment))->mustRun();
        }
        $process = proc_open(
            [
                PHP_BINARY, '-d', 'opcache.enable=1', '-d', 'opcache.enable_cli=1', '-d', 'expose_php=0',
                '-S', $this->address, '-t', 'public', 'bootstrap/serve.php',
            ],
            [$nothing, $nothing, $nothing],
            $pipes,
            base_path(),
            $environment + getenv(),
        );
        $this->process = $process === false ? throw new RuntimeException('The server did not start.') : $process;
        for ($waited = 0; $waited < self::WAIT_MS; $waited += 50) {
            if (@stream_socket_client("tcp://{$this->address}") !== false) {
                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException('The server does not answer.');
    }

    /** @return array<string, string> where configuration and routes are kept for it, as for the real server */
    private function readAhead(): array
    {
        $folder = sys_get_temp_dir().'/uplandia-'.str_replace(':', '-', $this->address);

        return ['APP_CONFIG_CACHE' => "{$folder}-config.php", 'APP_ROUTES_CACHE' => "{$folder}-routes.php"];
    }

    public function stop(): void
    {
        if ($this->process !== null) {
            $pid = proc_get_status($this->process)['pid'];
            // Its workers are its children, and outlive it when it is killed.
            exec("pkill -TERM -P {$pid}");
            proc_terminate($this->process);
            proc_close($this->process);
            $this->process = null;
            array_map(unlink(...), array_filter($this->readAhead(), is_file(...)));
        }
    }
}
