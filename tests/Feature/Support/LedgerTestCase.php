<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Foundation\Testing\WithCachedConfig;
use Illuminate\Foundation\Testing\WithCachedRoutes;
use Tests\Core\Support\Workbench;
use Tests\Feature\Factories\DeliverableFactory;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Factories\UserFactory;

/** A small production with a coordinator, two artists, and an intake folder of its own. */
abstract class LedgerTestCase extends TestCase
{
    use RefreshDatabase;
    use WithCachedConfig;
    use WithCachedRoutes;

    protected Workbench $intake;

    protected User $coordinator;

    protected User $artist;

    protected User $other;

    protected User $stranger;

    protected Production $production;

    protected Deliverable $deliverable;

    protected Deliverable $others;

    public function createApplication()
    {
        $app = require dirname(__DIR__, 3).'/bootstrap/app.php';
        self::withOwnStorage($app);
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** Tests that run beside each other count from 1, all of them, and would find what others put aside. */
    private static function withOwnStorage(Application $app): void
    {
        $token = getenv('TEST_TOKEN');
        if ($token === false) {
            return;
        }
        $storage = sys_get_temp_dir()."/plain-ledger-tests-{$token}-".getmypid();
        if (! is_dir($storage)) {
            register_shutdown_function(Workbench::remove(...), $storage);
        }
        foreach (['app/private', 'framework/cache/data', 'framework/sessions', 'framework/views', 'logs'] as $folder) {
            is_dir("{$storage}/{$folder}") || mkdir("{$storage}/{$folder}", 0o700, true);
        }
        $app->useStoragePath($storage);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->intake = new Workbench;
        config(['ledger.intake' => $this->intake->folder]);
        foreach (['coordinator', 'artist', 'other', 'stranger'] as $who) {
            $this->{$who} = UserFactory::new()->named($who)->create()->refresh();
        }
        $this->production = ProductionFactory::new()->named('TC', 'The Tide Clock')
            ->with($this->coordinator, 'coordinator')->with($this->artist, 'artist')->with($this->other, 'artist')
            ->create([
                'house' => ['require' => ['time.rate' => '24'], 'starting_values' => ['time.range' => ['1-60']]],
            ]);
        $this->production->intakeRoots()->create(['label' => 'Shots', 'path' => 'tide/{shot}']);
        $specification = $this->production->specifications()->create(['title' => 'Lit frames']);
        $specification->revise(
            [
                'delivers' => 'frames',
                'require' => [
                    'picture.resolution' => '64x36',
                    'format.kind' => 'png',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                    'content.whole' => 'yes',
                    'delivery.extras' => 'none',
                ],
            ],
            $this->coordinator,
        );
        $make = static fn (string $code, User $owner): Deliverable => DeliverableFactory::following($specification)
            ->named($code, 'a shot')->ownedBy($owner)->withFrames('1001-1010')->create(['due_at' => now()->addDays(2)]);
        $this->deliverable = $make('TC_010', $this->artist);
        $this->others = $make('TC_020', $this->other);
        $this->deliverable->keepParts();
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1006', Workbench::png())
            ->put('tide/TC_020/secret.txt', 'x')
            ->put('elsewhere/private.txt', 'x');
    }

    /** @return list<array<string, mixed>> the lines of the production's index, as whoever is signed in has them */
    protected function index(): array
    {
        return $this->getJson("/productions/{$this->production->id}/index")->assertOk()->json('lines');
    }

    /** @return array<string, mixed> the props of the page an Inertia visit gives */
    protected function page(string $url): array
    {
        $response = $this->get($url)->assertOk();

        // as the browser gets it
        return json_decode((string) json_encode($response->viewData('page')), true)['props'];
    }

    protected function root(): int
    {
        return $this->production->intakeRoots()->firstOrFail()->id;
    }

    /** The second database as it is outside of tests, where its tables are held in memory by other means. */
    protected function withSideTables(): void
    {
        foreach (glob(database_path('migrations/*_create_{side,workers}.php'), GLOB_BRACE) ?: [] as $file) {
            (require $file)->up();
        }
    }
}
