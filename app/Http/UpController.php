<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\QueryException;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Tells whoever looks after the server whether it reads and writes, and nobody else that anybody asked. */
final readonly class UpController
{
    /** Whoever looks every few seconds does not wait for a long writer. */
    private const PATIENCE_MS = 2000;

    public function __construct(private ClockInterface $clock)
    {
    }

    public function __invoke(): Response
    {
        try {
            DB::table('pulses')->where('id', 1)->value('at_ms');
            DB::table('users')->orderByDesc('id')->value('id');
        } catch (QueryException) {
            return self::says(503, 'Uplandia cannot read its database.');
        }
        $patience = (int) config('database.connections.sqlite.busy_timeout');
        try {
            DB::statement('pragma busy_timeout = '.self::PATIENCE_MS);
            DB::table('pulses')->upsert(['id' => 1, 'at_ms' => (int) $this->clock->now()->format('Uv')], ['id']);
        } catch (QueryException) {
            return self::says(503, 'Uplandia reads, and cannot write to its database just now.');
        } finally {
            DB::statement("pragma busy_timeout = {$patience}");
        }

        return self::says(200, 'Uplandia is up.');
    }

    private static function says(int $status, string $sentence): Response
    {
        return response("{$sentence}\n", $status, ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
