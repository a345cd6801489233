<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PDO;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** A full disk, a locked database, a lost folder: a plain sentence, nothing half written, and it goes on by itself. */
final class MachineFailsTest extends LedgerTestCase
{
    use OwnDatabases;

    /** @var list<string> */
    protected $connectionsToTransact = [];

    protected function setUp(): void
    {
        $this->beginOwnDatabases();
        parent::setUp();
        config(['queue.default' => 'sync', 'ledger.files_at_once' => 400]);
    }

    protected function tearDown(): void
    {
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    private function checkFolder(): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->artist)
            ->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            );
    }

    public function test_a_full_disk_is_told_and_nothing_is_half_written(): void
    {
        $this->actingAs($this->artist);
        DB::statement('pragma max_page_count = '.DB::scalar('pragma page_count'));
        $told = 0;
        for ($n = 0; $n < 60 && $told === 0; $n++) {
            $reply = $this->post(
                "/deliverables/{$this->deliverable->id}/scene",
                ['pasted' => 'resolution = 64x36 # '.str_repeat("{$n}", 3000)],
            );
            $told += $reply->getStatusCode() === 503 ? 1 : 0;
        }
        self::assertSame(1, $told);
        $reply->assertSee('The disk of this installation is full')->assertHeader('X-Content-Type-Options', 'nosniff');
        $this->withHeaders(['X-Inertia' => 'true'])
            ->post(
                "/deliverables/{$this->deliverable->id}/scene",
                ['pasted' => 'resolution = 64x36 # '.str_repeat('y', 9000)],
            )
            ->assertStatus(503)
            ->assertJsonPath('component', 'Fault');
        self::assertSame('ok', DB::scalar('pragma integrity_check'));
        self::assertSame(DB::table('scenes')->count(), DB::table('checks')->whereNotNull('scene_id')->count());

        // room is made: it goes on
        DB::statement('pragma max_page_count = 1000000');
        $this->flushHeaders();
        $this->post(
            "/deliverables/{$this->deliverable->id}/scene",
            ['pasted' => 'resolution = 64x36'],
        )->assertRedirect("/deliverables/{$this->deliverable->id}/scene");
    }

    public function test_a_locked_database_is_told(): void
    {
        DB::statement('pragma busy_timeout = 50');
        $other = new PDO("sqlite:{$this->home}/ledger.sqlite");
        $other->exec('begin immediate');
        $this->checkFolder()->assertStatus(503)->assertSee('held by another program');
        $this->getJson('/up')
            ->assertStatus(503)
            ->assertJsonPath('lines.database', ['well' => false, 'says' => 'it is held by another program']);
        self::assertSame(0, Check::query()->count());
        $other->exec('rollback');
        $this->checkFolder()->assertSessionHasNoErrors();
        self::assertSame('done', Check::query()->firstOrFail()->state->value);
    }

    public function test_a_database_that_is_gone_is_told_without_a_session(): void
    {
        config(
            [
                'database.connections.ledger.database' => "{$this->home}/gone.sqlite",
                'database.connections.side.database' => "{$this->home}/gone-too.sqlite",
                'session.driver' => 'database',
            ],
        );
        DB::purge('ledger');
        DB::purge('side');
        $this->get('/sign-in')->assertStatus(503)->assertSee('cannot be used just now');
        $this->getJson('/api/productions/TC/deliverables/TC_010/check')
            ->assertStatus(503)
            ->assertJsonStructure(['message']);
        $this->getJson('/up')->assertStatus(503)->assertJsonPath('lines.database.well', false);
    }

    public function test_a_lost_intake_is_told_and_found_again(): void
    {
        rename("{$this->intake->folder}/tide", "{$this->intake->folder}/away");
        $this->checkFolder()->assertSessionHasErrors(['below' => 'The folder “TC_010/v1” is not in this intake.']);
        $this->get("/deliverables/{$this->deliverable->id}/frames")->assertOk();
        rename("{$this->intake->folder}/away", "{$this->intake->folder}/tide");
        $this->checkFolder()->assertSessionHasNoErrors();
    }

    public function test_a_folder_for_work_that_may_not_be_written_to_is_told(): void
    {
        Storage::fake();
        // a file stands where the folder should be: nobody may write there, the administrator of the machine neither
        file_put_contents(Storage::path('spool'), '');
        $this->checkFolder();
        $check = Check::query()->latest('id')->firstOrFail();
        self::assertSame(
            [
                'failed',
                'The ledger cannot be used just now: it may be read and not written to. Nothing was written. '
                    .'Whoever runs this installation finds more in its log.',
            ],
            [$check->state->value, $check->fault],
        );
        self::assertSame(0, DB::table('deliveries')->count());
    }
}
