<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\ImmediatePdo;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;
use Tests\Core\Support\Workbench;

/** The ledger's file under several writers at once. */
final class DatabaseTest extends TestCase
{
    private Workbench $bench;

    public function createApplication()
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = (new Workbench)->put('ledger.sqlite', '');
        config(
            [
                'database.connections.ledger.database' => "{$this->bench->folder}/ledger.sqlite",
                'database.connections.ledger.journal_mode' => 'WAL',
            ],
        );
        DB::purge('ledger');
    }

    protected function tearDown(): void
    {
        DB::purge('ledger');
        parent::tearDown();
    }

    public function test_it_is_opened_as_it_should_be(): void
    {
        self::assertInstanceOf(ImmediatePdo::class, DB::connection('ledger')->getPdo());
        self::assertSame('wal', DB::connection('ledger')->selectOne('pragma journal_mode')->journal_mode);
        self::assertSame(1, DB::connection('ledger')->selectOne('pragma foreign_keys')->foreign_keys);
        self::assertGreaterThanOrEqual(5000, DB::connection('ledger')->selectOne('pragma busy_timeout')->timeout);
    }

    public function test_a_transaction_that_fails_leaves_nothing_behind(): void
    {
        DB::statement('create table t (n integer)');
        try {
            DB::transaction(function (): void {
                DB::insert('insert into t values (1)');
                DB::transaction(fn () => DB::insert('insert into t values (2)'));
                throw new \RuntimeException('on purpose');
            });
        } catch (\RuntimeException) {
            // as meant
        }
        self::assertSame(0, DB::table('t')->count());
        DB::transaction(fn () => DB::insert('insert into t values (3)'));
        self::assertSame(1, DB::table('t')->count());
    }

    public function test_a_transaction_takes_the_lock_at_its_beginning(): void
    {
        DB::statement('create table t (n integer)');
        $other = new \PDO("sqlite:{$this->bench->folder}/ledger.sqlite");
        $other->exec('pragma busy_timeout = 50');
        DB::transaction(static function () use ($other): void {
            try {
                $other->exec('BEGIN IMMEDIATE');
                self::fail('Two had the lock at once.');
            } catch (\PDOException $refused) {
                self::assertStringContainsString('locked', $refused->getMessage());
            }
        });
        self::assertSame(0, $other->exec('BEGIN IMMEDIATE'));
    }

    public function test_every_reference_can_be_looked_for_and_every_migration_taken_back(): void
    {
        config(['database.connections.side.database' => "{$this->bench->folder}/side.sqlite"]);
        touch("{$this->bench->folder}/side.sqlite");
        DB::purge('side');
        $this->artisan('migrate', ['--force' => true])->assertSuccessful();
        $references = 0;
        foreach (DB::select("select name from sqlite_master where type = 'table'") as $table) {
            $indexed = [];
            foreach (DB::select("pragma index_list('{$table->name}')") as $index) {
                $indexed[] = DB::selectOne("pragma index_info('{$index->name}')")->name;
            }
            foreach (DB::select("pragma foreign_key_list('{$table->name}')") as $key) {
                self::assertContains($key->from, $indexed, "{$table->name}.{$key->from} has no index");
                $references++;
            }
        }
        self::assertGreaterThan(30, $references);
        $this->artisan('migrate:reset', ['--force' => true])->assertSuccessful();
        self::assertSame(
            ['migrations'],
            array_column(
                DB::select("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'"),
                'name',
            ),
        );
        $this->artisan('migrate', ['--force' => true])->assertSuccessful();
        DB::purge('side');
    }

    public function test_many_who_read_and_then_write_all_get_through(): void
    {
        DB::statement('create table t (n integer)');
        DB::insert('insert into t values (0)');
        DB::purge('ledger');
        $path = "{$this->bench->folder}/ledger.sqlite";
        $code = 'require $argv[1]; for ($i = 0; $i < 25; $i++) { $p = new '
            .'App\Database\ImmediatePdo("sqlite:".$argv[2]); $p->exec("pragma busy_timeout = 10000"); '
            .'$p->beginTransaction(); $n = $p->query("select n from t")->fetchColumn(); usleep(200); '
            .'$p->exec("update t set n = ".($n + 1)); $p->commit(); }';
        $running = [];
        for ($client = 0; $client < 6; $client++) {
            $running[] = proc_open(
                [PHP_BINARY, '-r', $code, dirname(__DIR__, 2).'/vendor/autoload.php', $path],
                [2 => ['pipe', 'w']],
                $pipes[$client],
            );
        }
        foreach ($running as $client => $process) {
            self::assertIsResource($process);
            $errors = (string) stream_get_contents($pipes[$client][2]);
            self::assertSame([0, ''], [proc_close($process), $errors]);
        }

        self::assertSame(150, DB::table('t')->value('n'));
    }
}
