<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\DB;
use Tests\Core\Support\Workbench;

/** Databases in files of one test's own, which other processes see too. To be used beside a case's own set-up. */
trait OwnDatabases
{
    protected string $home;

    /** @var array<string, string|false> */
    private array $surroundingsBefore = [];

    /** @return array<string, string> */
    protected function surroundings(): array
    {
        return [
            'DB_DATABASE' => "{$this->home}/ledger.sqlite", 'DB_SIDE_DATABASE' => "{$this->home}/side.sqlite",
            'QUEUE_CONNECTION' => 'database', 'CACHE_STORE' => 'database', 'LEDGER_FILES_AT_ONCE' => '0',
            'LEDGER_SLICE' => '1',
        ];
    }

    protected function beginOwnDatabases(): void
    {
        $this->home = sys_get_temp_dir().'/plain-ledger-own-'.getmypid();
        @mkdir($this->home);
        foreach (['ledger', 'side'] as $name) {
            file_put_contents("{$this->home}/{$name}.sqlite", '');
        }
        foreach ($this->surroundings() as $name => $value) {
            $this->surroundingsBefore[$name] = getenv($name);
            $this->surround($name, $value);
        }
        RefreshDatabaseState::$migrated = false;
    }

    protected function endOwnDatabases(): void
    {
        DB::purge('ledger');
        DB::purge('side');
    }

    protected function clearOwnDatabases(): void
    {
        foreach ($this->surroundingsBefore as $name => $value) {
            $this->surround($name, $value);
        }
        RefreshDatabaseState::$migrated = false;
        Workbench::remove($this->home);
    }

    protected function surround(string $name, string|false $value): void
    {
        putenv($value === false ? $name : "{$name}={$value}");
        if ($value === false) {
            unset($_ENV[$name], $_SERVER[$name]);
        } else {
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
    }
}
