<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * Begins every transaction by taking SQLite's write lock. A transaction that reads first and writes later cannot wait
 * for the lock any more by then, and fails at once however long its busy timeout.
 */
final class ImmediatePdo extends PDO
{
    private bool $open = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');

        return $this->open = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->open = false;

        return true;
    }

    /** Where the disk is full SQLite has taken everything back by itself already; that is what was wanted. */
    public function rollBack(): bool
    {
        $this->open = false;
        try {
            parent::exec('ROLLBACK');
        } catch (PDOException $fault) {
            if (! str_contains($fault->getMessage(), 'no transaction is active')) {
                throw $fault;
            }
        }

        return true;
    }

    public function exec(string $statement): int|false
    {
        try {
            return parent::exec($statement);
        } catch (PDOException $fault) {
            // the same, of a transaction within one: else this would be told instead of what went wrong
            if (
                stripos($statement, 'rollback to savepoint') === 0
                && str_contains($fault->getMessage(), 'no such savepoint')
            ) {
                return 0;
            }
            throw $fault;
        }
    }

    public function inTransaction(): bool
    {
        return $this->open;
    }
}
