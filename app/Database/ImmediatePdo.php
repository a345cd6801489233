<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

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

    public function rollBack(): bool
    {
        $this->open = false;
        $this->exec('ROLLBACK');

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->open;
    }
}
