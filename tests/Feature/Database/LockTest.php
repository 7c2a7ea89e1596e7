<?php

declare(strict_types=1);

namespace Tests\Feature\Database;

use App\Database\Lock;
use Illuminate\Database\PostgresConnection;
use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;
use Tests\Feature\TestCase;

final class LockTest extends TestCase
{
    public function test_on_sqlite_the_transaction_is_the_lock_and_asks_for_nothing_more(): void
    {
        DB::enableQueryLog();
        $done = Lock::sitting('01', fn (): int => DB::transactionLevel());

        self::assertSame(DB::transactionLevel() + 1, $done);
        self::assertSame([], DB::getQueryLog());
    }

    public function test_elsewhere_what_is_written_is_locked_as_a_row_before_the_work_begins(): void
    {
        DB::extend('rows', fn (): PostgresConnection => new PostgresConnection(new PDO('sqlite::memory:')));
        config(['database.connections.rows' => ['driver' => 'rows']]);
        $here = DB::getDefaultConnection();
        DB::setDefaultConnection('rows');
        try {
            $asked = DB::connection()->pretend(function (): void {
                Lock::sitting('01', fn () => DB::table('work')->get());
                Lock::person(7, fn () => DB::table('work')->get());
                Lock::test('02', fn () => DB::table('work')->get());
            });
        } finally {
            DB::setDefaultConnection($here);
        }

        self::assertSame([
            'select "id" from "sittings" where "id" = \'01\' limit 1 for update',
            'select * from "work"',
            'select "id" from "users" where "id" = 7 limit 1 for update',
            'select * from "work"',
            'select "id" from "tests" where "id" = \'02\' limit 1 for update',
            'select * from "work"',
        ], array_column($asked, 'query'));
    }

    public function test_what_fails_in_it_leaves_nothing(): void
    {
        $before = DB::table('exams')->count();
        try {
            Lock::person(1, function (): never {
                $this->exam();
                throw new RuntimeException('Half done.');
            });
        } catch (RuntimeException) {
        }
        self::assertSame($before, DB::table('exams')->count());
    }
}
