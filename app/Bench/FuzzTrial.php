<?php

declare(strict_types=1);

namespace App\Bench;

use App\Question\Exam;
use CurlHandle;
use Illuminate\Support\Facades\DB;

/** Sends hostile requests over real HTTP and counts what is answered. */
final class FuzzTrial
{
    private const AT_ONCE = 8;

    private const PEOPLE = 40;

    /** @var array<int, int> status => answers; 0: none came */
    public array $statuses = [];

    /** @var list<string> the first requests that the server broke on */
    public array $broken = [];

    public function __construct(private readonly Crowd $crowd)
    {
    }

    public function run(int $requests, string $seed): void
    {
        $members = $this->crowd->gather(self::PEOPLE);
        $hostile = new HostileRequests($seed, self::known());
        $server = new TrialServer(workers: 6);
        $server->start();
        $multi = curl_multi_init();
        $busy = [];
        for ($sent = 0; $sent < $requests || $busy !== [];) {
            while ($sent < $requests && count($busy) < self::AT_ONCE) {
                $member = $members[$sent % self::PEOPLE];
                $request = $hostile->next(['sitting' => [$member->sitting], 'other' => [$member->sitting]]);
                $handle = $this->handle($server->address, $request, $member);
                curl_multi_add_handle($multi, $handle);
                $busy[spl_object_id($handle)] = $request;
                $sent++;
            }
            curl_multi_exec($multi, $running);
            while ($done = curl_multi_info_read($multi)) {
                $this->hear($done['handle'], $busy[spl_object_id($done['handle'])]);
                unset($busy[spl_object_id($done['handle'])]);
                curl_multi_remove_handle($multi, $done['handle']);
            }
            curl_multi_select($multi, 0.01);
        }
        $server->stop();
        ksort($this->statuses);
    }

    /**
     * Values that exist, so that most requests get past the door.
     *
     * @return array<string, list<string>> by parameter of a path
     */
    public static function known(): array
    {
        return [
            'exam' => array_values(Exam::query()->pluck('slug')->map(strval(...))->all()),
            'position' => ['0', '1', '19'],
            'paper' => self::codes('papers'),
            'series' => self::codes('series'),
            'test' => self::codes('series_tests'),
            'section' => self::codes('handbook_sections'),
            'question' => array_values(DB::table('questions')->limit(5)->pluck('id')->map(strval(...))->all()),
        ];
    }

    /** @return list<string> */
    private static function codes(string $table): array
    {
        $codes = [];
        foreach (DB::table($table)->limit(5)->pluck('code') as $code) {
            $codes[] = is_string($code) ? $code : '';
        }

        return $codes;
    }

    /** @param  array{method: string, path: string, headers: array<string, string>, body: string|null}  $request */
    private function handle(string $address, array $request, CrowdMember $member): CurlHandle
    {
        // Who signs out or leaves would be a guest for the rest of the trial.
        $leaves = $request['method'] === 'DELETE' && ! str_contains($request['path'], 'sittings');
        $headers = $request['headers'] + ['X-CSRF-TOKEN' => $member->visitor->token];
        $headers['Cookie'] = ($leaves ? '' : "{$member->visitor->cookie}; ").($request['headers']['Cookie'] ?? '');
        $lines = [];
        foreach ($headers as $name => $value) {
            $lines[] = "{$name}: {$value}";
        }
        $handle = curl_init("http://{$address}{$request['path']}");
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $request['method'] === '' ? 'GET' : $request['method'],
            CURLOPT_HTTPHEADER => $lines,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 30,
        ]);
        if ($request['body'] !== null) {
            curl_setopt($handle, CURLOPT_POSTFIELDS, $request['body']);
        }

        return $handle;
    }

    /** @param  array{method: string, path: string, headers: array<string, string>, body: string|null}  $request */
    private function hear(CurlHandle $handle, array $request): void
    {
        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        if (($status >= 500 || $status === 0) && count($this->broken) < 20) {
            $this->broken[] = "{$status} {$request['method']} {$request['path']} "
                .json_encode($request['headers']).' '.substr((string) $request['body'], 0, 300);
        }
    }
}
