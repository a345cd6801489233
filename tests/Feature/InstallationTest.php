<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\Backup;
use App\Database\Restore;
use App\Health\Doctor;
use App\Models\Check;
use App\Models\Deliverable;
use Illuminate\Support\Facades\DB;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** Backups that are put back, what the doctor sees, and what goes by itself. */
final class InstallationTest extends LedgerTestCase
{
    use OwnDatabases;

    protected function setUp(): void
    {
        $this->beginOwnDatabases();
        parent::setUp();
        config(['ledger.backups' => "{$this->home}/backups"]);
    }

    protected function tearDown(): void
    {
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    /** @return array<string, mixed> what the pages say of it */
    private function seen(): array
    {
        $this->actingAs($this->coordinator->fresh() ?? $this->coordinator);

        return $this->page("/productions/{$this->production->id}")['board'];
    }

    public function test_what_was_destroyed_is_put_back_as_it_was(): void
    {
        // far off: it is told in days, however long this takes
        Deliverable::query()->update(['due_at' => '2040-01-02 03:04:05']);
        DB::commit();
        $before = $this->seen();
        app(Backup::class)->make();
        $moment = Restore::moments()[0];
        Deliverable::query()->delete();
        self::assertNotEquals($before, $this->seen());
        $this->artisan('ledger:restore', ['moment' => $moment, '--yes' => true])->assertSuccessful();
        self::assertEquals($before, $this->seen());
        // what was there in between is kept too
        self::assertCount(2, Restore::moments());

        // also where nothing is left of it
        DB::purge('ledger');
        file_put_contents("{$this->home}/ledger.sqlite", 'in ruins');
        array_map(unlink(...), glob("{$this->home}/ledger.sqlite-*") ?: []);
        $this->artisan('ledger:restore', ['moment' => $moment, '--yes' => true])->assertSuccessful();
        self::assertEquals($before, $this->seen());
    }

    public function test_a_damaged_backup_is_not_put_back(): void
    {
        DB::commit();
        app(Backup::class)->make();
        $moment = Restore::moments()[0];
        $path = "{$this->home}/backups/ledger-{$moment}.sqlite";
        $bytes = (string) file_get_contents($path);
        file_put_contents($path, substr($bytes, 0, 4096).str_repeat("\x5A", strlen($bytes) - 4096));
        $this->artisan('ledger:restore', ['--yes' => true])
            ->expectsOutputToContain('cannot be used')->assertFailed();
        self::assertSame(2, Deliverable::query()->count());
        $this->artisan('ledger:restore', ['moment' => '../ledger', '--yes' => true])->assertFailed();
        $this->artisan('ledger:restore', ['--list' => true])->expectsOutput($moment)->assertSuccessful();
        $this->artisan('ledger:restore', ['moment' => $moment])
            ->expectsConfirmation("Everything since {$moment} (UTC) goes. Go on?", 'no')->assertFailed();
    }

    public function test_as_many_backups_are_kept_as_is_said(): void
    {
        DB::commit();
        config(['ledger.backups_kept' => 2]);
        foreach ([1, 2, 3] as $second) {
            $name = "{$this->home}/backups/ledger-2026010{$second}-000000.sqlite";
            is_dir(dirname($name)) || mkdir(dirname($name));
            touch($name);
            touch(str_replace('/ledger-', '/side-', $name));
        }
        app(Backup::class)->make();
        self::assertCount(2, Restore::moments());
        self::assertSame('20260103-000000', Restore::moments()[1]);
    }

    public function test_the_doctor_names_what_is_wrong_and_what_to_do(): void
    {
        DB::commit();
        $wrong = static fn (): array => array_keys(array_filter(
            Doctor::look(),
            static fn (array $line): bool => ! $line['well'],
        ));
        app(Backup::class)->make();
        self::assertNotContains('backups', $wrong());
        self::assertNotContains('database ledger', $wrong());
        self::assertNotContains('migrations', $wrong());
        Workbench::remove("{$this->home}/backups");
        config(['app.debug' => true, 'ledger.intake' => '/nowhere/at/all', 'app.key' => '']);
        DB::table('migrations')->orderByDesc('id')->limit(1)->delete();
        $found = $wrong();
        foreach (['backups', 'faults shown', '/nowhere/at/all', 'key', 'migrations', 'intake'] as $what) {
            self::assertContains($what, $found);
        }
        self::assertSame('php artisan ledger:backup', Doctor::look()['backups']['do']);
        $this->artisan('ledger:doctor')->expectsOutputToContain('≠ backups: there is none')->assertFailed();
        $this->artisan('ledger:doctor', ['--json' => true])->assertFailed();
    }

    public function test_old_checks_go_by_the_rule_and_what_matters_stays(): void
    {
        $this->actingAs($this->coordinator);
        $make = fn (string $verdict, int $days): Check => $this->deliverable->checks()->forceCreate([
            'deliverable_id' => $this->deliverable->id, 'state' => 'done', 'verdict' => $verdict, 'layers' => '[]',
            'specification_revision_id' => $this->deliverable->specification->latest->id,
            'created_at' => now()->subDays($days), 'updated_at' => now()->subDays($days),
        ]);
        $old = $make('unbalanced', 90);
        $good = $make('balanced', 80);
        $older = $make('unbalanced', 70);
        $late = $make('unbalanced', 3);
        $newest = $make('unbalanced', 1);
        $this->artisan('ledger:tidy')->assertSuccessful();
        self::assertSame(5, Check::query()->count());
        $url = "/productions/{$this->production->id}/retention";
        $this->patch($url, ['checks' => '1', 'days' => ''])->assertSessionHasErrors('days');
        $this->patch($url, ['checks' => '1', 'days' => '30'])->assertSessionHasNoErrors();
        $this->artisan('ledger:tidy')->expectsOutputToContain('2 checks')->assertSuccessful();
        self::assertEqualsCanonicalizing([$good->id, $late->id, $newest->id], Check::query()->pluck('id')->all());
        self::assertNull($old->fresh());
        self::assertNull($older->fresh());
        $this->patch($url, ['checks' => '', 'days' => ''])->assertSessionHasNoErrors();
        self::assertNull($this->production->refresh()->retention);
    }
}
