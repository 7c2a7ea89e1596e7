<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * Work in which nobody else may touch the same thing: what is read in it still holds when it writes. The lock bears
 * the name of what is written, so that where a database locks rows only those wait who must. SQLite knows one lock for
 * all writers, and takes it as the transaction begins (`ImmediatePdo`), so there the transaction is the lock.
 */
final class Lock
{
    /**
     * One sitting: its events, its clock, what came of it.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public static function sitting(string $id, Closure $work): mixed
    {
        return self::row('sittings', $id, $work);
    }

    /**
     * What is one person's alone and counted or folded: quotas, attempts, gaps, standings.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public static function person(int $id, Closure $work): mixed
    {
        return self::row('users', $id, $work);
    }

    /**
     * What many share of a test: its code, and who has joined.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public static function test(string $id, Closure $work): mixed
    {
        return self::row('tests', $id, $work);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    private static function row(string $table, int|string $id, Closure $work): mixed
    {
        return DB::transaction(function () use ($table, $id, $work): mixed {
            if (DB::getDriverName() !== 'sqlite') {
                DB::table($table)->where('id', $id)->lockForUpdate()->value('id');
            }

            return $work();
        });
    }
}
