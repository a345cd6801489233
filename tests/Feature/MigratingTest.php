<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PDO;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** From each schema there has been to the one of today, with what was in it, after a backup. */
final class MigratingTest extends LedgerTestCase
{
    use OwnDatabases;

    /** @var list<string> */
    protected $connectionsToTransact = [];

    private const BACKUPS = 'app/backups';

    protected function setUp(): void
    {
        $this->beginOwnDatabases();
        parent::setUp();
        $this->app->useStoragePath("{$this->home}/storage");
        File::ensureDirectoryExists(storage_path('app'));
    }

    protected function tearDown(): void
    {
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    /** @return iterable<string, array{int}> how many migrations had run by then */
    public static function schemas(): iterable
    {
        $files = glob(dirname(__DIR__, 2).'/database/migrations/*.php') ?: [];
        for ($n = 1; $n < count($files); $n++) {
            yield basename($files[$n - 1], '.php') => [$n];
        }
    }

    #[DataProvider('schemas')]
    public function test_from_an_earlier_schema(int $many): void
    {
        $files = glob(database_path('migrations/*.php')) ?: [];
        Artisan::call('migrate:reset', ['--force' => true]);
        foreach (array_slice($files, 0, $many) as $file) {
            Artisan::call('migrate', ['--path' => $file, '--realpath' => true, '--force' => true]);
        }
        $now = ['created_at' => '2026-11-25 12:00:00', 'updated_at' => '2026-11-25 12:00:00'];
        DB::table('users')->insert(
            [
                'id' => 1,
                'name' => 'Odile',
                'email' => 'odile@harbour.example',
                'password' => 'x',
                'handle' => 'odile',
            ] + $now,
        );
        DB::table('productions')->insert(
            ['id' => 1, 'code' => 'TC', 'name' => 'The Tide Clock', 'kind' => 'film', 'house' => '{}'] + $now,
        );
        DB::table('specifications')->insert(['id' => 1, 'production_id' => 1, 'title' => 'Lit'] + $now);
        DB::table('specification_revisions')->insert(
            ['id' => 1, 'specification_id' => 1, 'number' => 1, 'data' => '{"delivers":"frames","require":{}}'] + $now,
        );
        DB::table('deliverables')->insert(
            [
                'id' => 1, 'production_id' => 1, 'specification_id' => 1, 'owner_id' => 1, 'code' => 'TC_010',
                'title' => '', 'values' => '[]', 'overrides' => '[]',
            ] + $now,
        );
        $text = 'resolution = 64x36';
        $once = DB::getSchemaBuilder()->hasTable('scene_texts');
        $once && DB::table('scene_texts')->insert(['hash' => hash('sha256', $text), 'content' => $text]);
        DB::table('scenes')->insert(
            ['id' => 1, 'deliverable_id' => 1, 'file_name' => 'a.txt', 'content' => $once ? '' : $text]
                + ($once ? ['hash' => hash('sha256', $text)] : [])
                + $now,
        );

        self::assertSame(0, Artisan::call('ledger:migrate'), Artisan::output());
        self::assertSame('The Tide Clock', DB::table('productions')->value('name'));
        self::assertSame('resolution = 64x36', \App\Models\Scene::query()->findOrFail(1)->content);
        $this->actingAs(\App\Models\User::query()->findOrFail(1));
        \App\Models\Membership::query()->firstOrCreate(
            ['production_id' => 1, 'user_id' => 1],
            ['role' => 'coordinator'],
        );
        $this->get('/deliverables/1/scene')->assertOk();

        $copies = $this->copies();
        self::assertCount(2, $copies);
        foreach ($copies as $copy) {
            self::assertSame('0600', substr(sprintf('%o', $copy->getPerms()), -4));
            self::assertSame(
                'ok',
                (new PDO("sqlite:{$copy->getPathname()}"))->query('pragma integrity_check')->fetchColumn(),
            );
        }
        $ledger = array_values(
            array_filter($copies, static fn ($c): bool => str_starts_with($c->getFilename(), 'ledger')),
        )[0];
        $before = new PDO("sqlite:{$ledger->getPathname()}");
        self::assertSame($many, (int) $before->query('select count(*) from migrations')->fetchColumn());
        self::assertSame($once ? '' : $text, $before->query('select content from scenes')->fetchColumn());

        // what is up to date is left as it is
        self::assertSame(0, Artisan::call('ledger:migrate'));
        self::assertCount(2, $this->copies());
    }

    /** @return list<\SplFileInfo> */
    private function copies(): array
    {
        return array_values(
            array_filter(
                File::files(storage_path(self::BACKUPS)),
                static fn (\SplFileInfo $f): bool => $f->getExtension() === 'sqlite',
            ),
        );
    }

    public function test_without_a_backup_nothing_is_changed(): void
    {
        Artisan::call('migrate:rollback', ['--step' => 1, '--force' => true]);
        $done = DB::table('migrations')->count();
        // a file stands where the copies should go
        file_put_contents(storage_path(self::BACKUPS), '');
        self::assertSame(1, Artisan::call('ledger:migrate'));
        self::assertStringContainsString('Nothing was changed.', Artisan::output());
        self::assertSame($done, DB::table('migrations')->count());
    }

    public function test_a_newer_ledger_is_not_touched(): void
    {
        DB::table('migrations')->insert(['migration' => '2999_01_01_000001_of_later', 'batch' => 9]);
        DB::table('migrations')->where('migration', '2026_11_27_000003_create_workers')->delete();
        self::assertSame(1, Artisan::call('ledger:migrate'));
        self::assertStringContainsString('a newer version', Artisan::output());
    }

    public function test_a_copy_is_whole_while_somebody_writes(): void
    {
        DB::statement('create table busy (id integer primary key, much text)');
        $writer = proc_open(
            [
                PHP_BINARY,
                '-r',
                '$d = new PDO("sqlite:'
                    .$this->home
                    .'/ledger.sqlite"); $d->exec("pragma busy_timeout=5000"); for (;;) { $d->exec("begin '
                    .'immediate"); $d->exec("insert into busy (much) values (\'".str_repeat("x", 2000)."\')"); '
                    .'$d->exec("insert into busy (much) values (\'second\')"); $d->exec("commit"); }',
            ],
            [],
            $pipes,
        );
        self::assertIsResource($writer);
        $last = microtime(true) + 30;
        while (DB::table('busy')->count() === 0 && microtime(true) < $last) {
            usleep(10_000);
        }
        self::assertSame(0, Artisan::call('ledger:backup'));
        proc_terminate($writer, SIGKILL);
        proc_close($writer);
        $copy = new PDO('sqlite:'.trim(explode("\n", Artisan::output())[0]));

        self::assertSame('ok', $copy->query('pragma integrity_check')->fetchColumn());
        $many = (int) $copy->query('select count(*) from busy')->fetchColumn();
        self::assertGreaterThan(0, $many);
        self::assertSame(0, $many % 2);
    }
}
