<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * Begins every transaction with BEGIN IMMEDIATE: who writes takes the lock at once and waits for it as long as the
 * busy
 * timeout says. PDO's own beginTransaction is deferred, and a read lock that cannot be raised fails without waiting.
 */
final class ImmediatePdo extends PDO
{
    private bool $begun = false;

    public function beginTransaction(): bool
    {
        if ($this->begun) {
            throw new PDOException('There is already an active transaction');
        }
        $this->exec('BEGIN IMMEDIATE');

        return $this->begun = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->begun = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->begun = false;
        try {
            $this->exec('ROLLBACK');
        } catch (PDOException $error) {
            // A full disk and the like have rolled it back already.
            if (! str_contains($error->getMessage(), 'no transaction is active')) {
                throw $error;
            }
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->begun || parent::inTransaction();
    }
}
