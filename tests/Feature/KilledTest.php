<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ScanSlice;
use App\Models\Check;
use App\Queue\Waiting;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\Core\Support\Workbench;
use Tests\Feature\Factories\DeliverableFactory;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** Real workers on real files, ended without warning while they work. */
final class KilledTest extends LedgerTestCase
{
    use OwnDatabases;

    /** @var list<string> what is written is there for other processes */
    protected $connectionsToTransact = [];

    protected function setUp(): void
    {
        $this->beginOwnDatabases();
        parent::setUp();
    }

    protected function tearDown(): void
    {
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    private function worker(): Process
    {
        $command = [
            PHP_BINARY,
            'artisan',
            'queue:work',
            '--sleep=0.1',
            '--tries=2',
            '--timeout=1800',
            '--stop-when-empty',
        ];
        $worker = new Process(
            $command,
            base_path(),
            $this->surroundings() + [
                'LEDGER_INTAKE' => $this->intake->folder,
                'APP_ENV' => 'testing',
                'APP_KEY' => (string) config('app.key'),
            ],
            null,
            60,
        );
        $worker->start();

        return $worker;
    }

    private function order(int $frames): Check
    {
        $this->deliverable->update(['overrides' => ['time.range' => "1001-{$frames}", 'content.black' => 'none']]);
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', "1001-{$frames}", Workbench::png());
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'full'],
            )
            ->assertRedirect();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    private function until(\Closure $holds): void
    {
        for ($tries = 0; ! $holds() && $tries < 4000; $tries++) {
            usleep(10_000);
        }
        self::assertTrue($holds(), 'It did not come to that in time.');
    }

    public function test_a_worker_is_killed_and_another_goes_on(): void
    {
        $check = $this->order(3500);
        // by this it is known that it waits, and is not lost
        self::assertTrue(
            DB::connection('side')->table('jobs')->where('payload', 'like', '%"check":'.$check->id.',%')->exists(),
        );
        $worker = $this->worker();
        $this->until(static fn (): bool => ($check->refresh()->progress['done'] ?? 0) > 0);
        $worker->signal(SIGKILL);
        $this->until(static fn (): bool => ! $worker->isRunning());
        self::assertSame('running', $check->refresh()->state->value);

        self::assertSame(0, $this->worker()->wait());
        $check->refresh();
        self::assertSame(['done', 'balanced'], [$check->state->value, $check->verdict?->value], (string) $check->fault);
        self::assertSame([1, 2500], [$this->deliverable->deliveries()->count(), $check->delivery?->file_count]);
        self::assertSame(0, DB::connection('side')->table('jobs')->count());
    }

    public function test_a_job_that_ends_two_workers_is_failed_and_says_so(): void
    {
        $check = $this->order(3500);
        // slices follow one another as jobs of their own: this one is a single job
        foreach ([1, 2] as $_) {
            $command = [PHP_BINARY, 'artisan', 'queue:work', '--sleep=0.1', '--tries=2', '--timeout=1800'];
            $worker = new Process(
                $command,
                base_path(),
                ['LEDGER_SLICE' => '60', 'LEDGER_INTAKE' => $this->intake->folder]
                    + $this->surroundings()
                    + ['APP_ENV' => 'testing', 'APP_KEY' => (string) config('app.key')],
            );
            $worker->start();
            $this->until(
                static fn (): bool => DB::connection('side')->table('workers')
                    ->where('pid', $worker->getPid())
                    ->whereNotNull('job_id')
                    ->exists(),
            );
            $worker->signal(SIGKILL);
            $this->until(static fn (): bool => ! $worker->isRunning());
        }
        $this->worker()->wait();

        self::assertSame(['failed', ScanSlice::BROKE_OFF], [$check->refresh()->state->value, $check->fault]);
        self::assertSame(0, $this->deliverable->deliveries()->count());
    }

    public function test_the_process_that_looks_is_killed_and_the_worker_goes_on(): void
    {
        // so many that it is seen at work before it is done, also on a quick machine
        $check = $this->order(3500);
        $worker = $this->worker();
        $this->until(static fn (): bool => ($check->refresh()->progress['done'] ?? 0) > 0);
        exec('pkill -KILL -P '.(int) $worker->getPid());
        $worker->wait();

        $check->refresh();
        self::assertSame(['done', 'balanced'], [$check->state->value, $check->verdict?->value], (string) $check->fault);
        self::assertSame(2500, $check->delivery?->file_count);
    }

    public function test_a_server_is_killed_during_a_small_check(): void
    {
        $this->intake->frames('tide/TC_010/v2/TC_010.%04d.png', '1001-1400', Workbench::png());
        // what a request does that checks a few files at once
        $script = 'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; '
            .'$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();'
            .'$d = App\Models\Deliverable::query()->findOrFail('
                .$this->deliverable->id
                .'); $r = App\Models\IntakeRoot::query()->firstOrFail();'
            .'$app->make(App\Actions\Checks\CheckFolder::class)->run($d, App\Intake\IntakeFolder::open($r, '
            .'"TC_010/v2", $d, true), PlainLedger\Core\Media\ScanDepth::Quick, $d->owner);';
        $environment = [
            'LEDGER_FILES_AT_ONCE' => '400',
            'LEDGER_INTAKE' => $this->intake->folder,
            'APP_ENV' => 'testing',
            'APP_KEY' => (string) config('app.key'),
        ];
        $server = new Process([PHP_BINARY, '-r', $script], base_path(), $environment + $this->surroundings());
        $server->start();
        $this->until(static fn (): bool => Check::query()->exists() || ! $server->isRunning());
        $server->signal(SIGKILL);
        $this->until(static fn (): bool => ! $server->isRunning());
        $check = Check::query()->firstOrFail();
        self::assertContains($check->state->value, ['queued', 'running'], $server->getErrorOutput());
        self::assertSame([0, 0], [Waiting::breakOffLost(), DB::connection('side')->table('jobs')->count()]);

        $check->update(['seen_at' => now()->subSeconds(61)]);
        self::assertSame(1, Waiting::breakOffLost());
        self::assertSame(['failed', Waiting::NOBODY], [$check->refresh()->state->value, $check->fault]);
        self::assertSame(0, $this->deliverable->deliveries()->count());
        // and it is begun again
        $this->actingAs($this->coordinator)->post("/checks/{$check->id}/again")->assertSessionHasNoErrors();
        $this->worker()->wait();
        self::assertSame('done', $this->deliverable->checks()->latest('id')->firstOrFail()->state->value);
    }

    public function test_two_workers_share_the_work(): void
    {
        $checks = [];
        foreach (range(1, 8) as $n) {
            $deliverable = DeliverableFactory::beside($this->deliverable)->named("TC_20{$n}")->ownedBy($this->artist)
                ->withFrames('1-20')->create();
            $deliverable->keepParts();
            $this->intake->frames("tide/TC_20{$n}/TC_20{$n}.%04d.png", '1-20', Workbench::png());
            $this->actingAs($this->artist)
                ->post(
                    "/deliverables/{$deliverable->id}/checks",
                    ['root' => $this->root(), 'below' => "TC_20{$n}", 'depth' => 'full'],
                )
                ->assertRedirect();
            $checks[] = $deliverable->checks()->latest('id')->firstOrFail();
        }
        $workers = [$this->worker(), $this->worker()];
        array_map(static fn (Process $worker): int => $worker->wait(), $workers);

        foreach ($checks as $check) {
            self::assertSame(['done', 'balanced'], [$check->refresh()->state->value, $check->verdict?->value]);
            self::assertSame(1, $check->deliverable->deliveries()->count());
        }
    }
}
