<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Queue\QueueStore;
use App\Queue\Waiting;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;
use Symfony\Component\Process\Process;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** Queue, cache and sessions on a real Redis, by configuration alone; workers that look as if on two machines. */
final class OnRedisTest extends LedgerTestCase
{
    use OwnDatabases {
        surroundings as ownDatabases;
    }

    private const REDIS = '/usr/bin/redis-server';

    /** @var list<string> what is written is there for other processes */
    protected $connectionsToTransact = [];

    private Process $redis;

    private int $port;

    protected function setUp(): void
    {
        if (! is_executable(self::REDIS)) {
            self::fail('redis-server is missing; bin/prepare --for-tests installs it.');
        }
        $free = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($free);
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($free, false), ':'), 1);
        fclose($free);
        $this->redis = new Process([
            self::REDIS, '--port', (string) $this->port, '--bind', '127.0.0.1', '--save', '', '--appendonly', 'no',
            '--dir', sys_get_temp_dir(),
        ]);
        $this->redis->start();
        $this->redis->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'Ready to accept'));
        $this->beginOwnDatabases();
        parent::setUp();
    }

    protected function tearDown(): void
    {
        $this->redis->stop(1);
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    /** @return array<string, string> */
    protected function surroundings(): array
    {
        return [
            'QUEUE_CONNECTION' => 'redis', 'CACHE_STORE' => 'redis', 'SESSION_DRIVER' => 'redis',
            'REDIS_PORT' => (string) $this->port,
        ] + $this->ownDatabases();
    }

    /** @param  string|null  $host  what the machine is called on which it seems to run */
    private function worker(?string $host = null): Process
    {
        $command = [
            PHP_BINARY, 'artisan', 'queue:work', '--sleep=0.1', '--tries=2', '--timeout=1800', '--stop-when-empty',
        ];
        $elsewhere = ['unshare', '--uts', 'sh', '-c', 'hostname "$0" && exec "$@"', (string) $host];
        $worker = new Process(
            $host === null ? $command : [...$elsewhere, ...$command],
            base_path(),
            $this->surroundings() + [
                'LEDGER_INTAKE' => $this->intake->folder, 'APP_ENV' => 'testing',
                'APP_KEY' => (string) config('app.key'),
            ],
            null,
            60,
        );
        $worker->start();

        return $worker;
    }

    private function order(int $last): Check
    {
        $this->deliverable->update(['overrides' => ['time.range' => "1001-{$last}", 'content.black' => 'none']]);
        $code = $this->deliverable->code;
        $this->intake->frames("tide/{$code}/v1/{$code}.%04d.png", "1001-{$last}", Workbench::png());
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => "{$code}/v1", 'depth' => 'full'],
        )->assertRedirect()->assertSessionHasNoErrors();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    private function until(\Closure $holds): void
    {
        for ($tries = 0; ! $holds() && $tries < 3000; $tries++) {
            usleep(10_000);
        }
        self::assertTrue($holds(), 'It did not come to that in time.');
    }

    public function test_a_check_is_queued_and_worked_on_and_another_worker_goes_on_with_it(): void
    {
        $check = $this->actingAs($this->artist)->order(3000);
        self::assertSame([1, true], [QueueStore::count(), QueueStore::hasCheck($check->id)]);
        self::assertSame([1, false], [Waiting::count(), QueueStore::hasCheck($check->id + 1)]);
        self::assertSame(0, DB::connection('side')->table('jobs')->count());
        // it waits, and is not lost
        $check->update(['seen_at' => now()->subHours(2)]);
        self::assertSame(0, Waiting::breakOffLost());
        self::assertGreaterThanOrEqual(0, Waiting::longest());

        $worker = $this->worker();
        $this->until(static fn (): bool => ($check->refresh()->progress['done'] ?? 0) > 0);
        $worker->signal(SIGKILL);
        $this->until(static fn (): bool => ! $worker->isRunning());
        self::assertSame('running', $check->refresh()->state->value);

        // what it had is free at once, though its time is not over
        self::assertSame(0, $this->worker()->wait());
        $check->refresh();
        self::assertSame(['done', 'balanced'], [$check->state->value, $check->verdict?->value], (string) $check->fault);
        self::assertSame([2000, 0], [$check->delivery?->file_count, QueueStore::count()]);

        $check->update(['state' => 'running', 'seen_at' => now()->subMinutes(2)]);
        self::assertSame(1, Waiting::breakOffLost());
    }

    public function test_workers_of_two_machines_share_the_work_of_one_intake(): void
    {
        $checks = [];
        foreach ([$this->deliverable, $this->others] as $this->deliverable) {
            $checks[] = $this->actingAs($this->deliverable->owner ?? self::fail('Nobody owns it.'))->order(3000);
        }
        // where a process may not call its machine otherwise, both are of this one
        exec('unshare --uts hostname render-one 2>/dev/null', $_, $refused);
        $hosts = $refused === 0 ? ['render-one', 'render-two'] : [null, null];
        $workers = array_map($this->worker(...), $hosts);
        $seen = [];
        $this->until(static function () use (&$seen): bool {
            $seen += DB::connection('side')->table('workers')->pluck('host', 'id')->all();

            return count($seen) === 2;
        });
        self::assertCount($refused === 0 ? 2 : 1, array_unique($seen));
        foreach ($workers as $worker) {
            self::assertSame(0, $worker->wait(), $worker->getErrorOutput());
        }
        foreach ($checks as $check) {
            self::assertSame('balanced', $check->refresh()->verdict?->value, (string) $check->fault);
        }
    }

    public function test_sessions_and_counts_are_kept_there_and_end_everywhere(): void
    {
        $password = ['email' => $this->artist->email, 'password' => 'a long password'];
        $this->artist->update(['password' => $password['password']]);
        $this->post('/sign-in', $password)->assertSessionHasNoErrors();
        $this->get('/tokens')->assertOk();
        $keys = (array) Redis::connection()->command('keys', ['*']);
        self::assertNotSame([], $keys);
        self::assertSame(0, DB::connection('side')->table('sessions')->count());
        self::assertSame('x', Cache::remember('of a test', 60, static fn (): string => 'x'));

        // elsewhere: with the session as it was
        $before = $this->app['session.store']->all();
        $this->post('/sign-out/elsewhere')->assertSessionHas('told', 'Signed out elsewhere.');
        $this->get('/tokens')->assertOk();
        $this->flushSession();
        $this->withSession($before)->get('/tokens')->assertRedirect('/sign-in');
    }
}
