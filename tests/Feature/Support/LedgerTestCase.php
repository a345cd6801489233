<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Foundation\Testing\WithCachedConfig;
use Illuminate\Foundation\Testing\WithCachedRoutes;
use Tests\Core\Support\Workbench;

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
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->intake = new Workbench;
        config(['ledger.intake' => $this->intake->folder]);
        foreach (['coordinator', 'artist', 'other', 'stranger'] as $who) {
            $this->{$who} = User::query()->create(
                [
                    'name' => ucfirst($who),
                    'email' => "{$who}@harbour.example",
                    'password' => 'a long password',
                    'handle' => $who,
                ],
            )->refresh();
        }
        $this->production = Production::query()->create(
            [
                'code' => 'TC',
                'name' => 'The Tide Clock',
                'kind' => 'film',
                'house' => ['require' => ['time.rate' => '24'], 'starting_values' => ['time.range' => ['1-60']]],
            ],
        );
        foreach (['coordinator' => 'coordinator', 'artist' => 'artist', 'other' => 'artist'] as $who => $role) {
            $this->production->memberships()->create(['user_id' => $this->{$who}->id, 'role' => $role]);
        }
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
        $make = fn (string $code, User $owner): Deliverable => $this->production->deliverables()->create(
            [
                'specification_id' => $specification->id,
                'owner_id' => $owner->id,
                'code' => $code,
                'title' => 'a shot',
                'values' => [],
                'overrides' => ['time.range' => '1001-1010'],
                'due_at' => now()->addDays(2),
            ],
        );
        $this->deliverable = $make('TC_010', $this->artist);
        $this->others = $make('TC_020', $this->other);
        $this->deliverable->keepParts();
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1006', Workbench::png())
            ->put('tide/TC_020/secret.txt', 'x')
            ->put('elsewhere/private.txt', 'x');
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
