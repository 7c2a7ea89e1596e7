<?php

declare(strict_types=1);

namespace Tests\Feature\Database;

use App\Database\ImmediatePdo;
use PDO;
use PDOException;
use PHPUnit\Framework\TestCase;

/** Writers wait for each other; none of them fails because another was quicker. */
final class TwoWritersTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        $this->file = sys_get_temp_dir().'/uplandia-writers-'.getmypid().'.sqlite';
        $this->pdo()->exec('create table counter (n integer); insert into counter values (0)');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->file}*") ?: []);
    }

    private function pdo(int $timeout = 10_000): ImmediatePdo
    {
        $pdo = new ImmediatePdo("sqlite:{$this->file}", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $pdo->exec("pragma journal_mode = wal; pragma busy_timeout = {$timeout}");

        return $pdo;
    }

    public function test_who_reads_and_then_writes_in_one_transaction_never_finds_it_locked(): void
    {
        $writers = [];
        for ($i = 0; $i < 4; $i++) {
            $writers[] = pcntl_fork() ?: $this->countUp(100);
        }
        foreach ($writers as $writer) {
            pcntl_waitpid($writer, $status);
            self::assertSame(0, pcntl_wexitstatus($status));
        }

        self::assertSame(400, (int) $this->pdo()->query('select n from counter')->fetchColumn());
    }

    private function countUp(int $times): never
    {
        $pdo = $this->pdo();
        try {
            for ($i = 0; $i < $times; $i++) {
                $pdo->beginTransaction();
                $n = (int) $pdo->query('select n from counter')->fetchColumn();
                $pdo->exec('update counter set n = '.($n + 1));
                $pdo->commit();
            }
        } catch (PDOException) {
            posix_kill(posix_getpid(), SIGKILL);
        }
        // Without the shutdown of PHPUnit, which is the parent's.
        pcntl_exec('/bin/true');
        posix_kill(posix_getpid(), SIGKILL);
        exit(1);
    }

    public function test_a_transaction_can_be_taken_back_and_another_begun(): void
    {
        $pdo = $this->pdo();
        $pdo->beginTransaction();
        $pdo->exec('update counter set n = 7');
        self::assertTrue($pdo->inTransaction());
        $pdo->rollBack();
        self::assertFalse($pdo->inTransaction());
        $pdo->beginTransaction();
        $pdo->commit();
        self::assertSame(0, (int) $pdo->query('select n from counter')->fetchColumn());

        $pdo->beginTransaction();
        $this->expectException(PDOException::class);
        $pdo->beginTransaction();
    }

    public function test_the_second_waits_at_the_beginning_and_not_at_its_first_write(): void
    {
        $this->pdo()->beginTransaction();
        $first = $this->pdo();
        $first->beginTransaction();
        $second = $this->pdo(timeout: 50);
        $from = microtime(true);
        try {
            $second->beginTransaction();
            self::fail('Both have the lock.');
        } catch (PDOException $error) {
            self::assertStringContainsString('locked', $error->getMessage());
            self::assertGreaterThan(.04, microtime(true) - $from);
        }
        self::assertFalse($second->inTransaction());
    }
}
