<?php

declare(strict_types=1);

namespace App\Console;

use App\Intake\IntakeFolder;
use App\Ledger\CheckDesk;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\Scenario;
use PlainLedger\Demo\StandInRenderer;

/** Makes the demo: people, productions, files as the stand-in renderer writes them, and a first check of each. */
final class MakeDemo extends Command
{
    protected $signature = 'ledger:demo {--only-if-empty : do nothing where there are people already}';

    protected $description = 'Makes the demo data';

    public function handle(CheckDesk $desk): int
    {
        if ($this->option('only-if-empty') && User::query()->exists()) {
            return self::SUCCESS;
        }
        $people = [];
        foreach (Scenario::people() as $person) {
            $people[$person['handle']] = User::query()->create($person + ['password' => Scenario::PASSWORD]);
        }
        foreach (Scenario::productions() as $plan) {
            $production = Production::query()->create(
                [
                    'code' => $plan['code'],
                    'name' => $plan['name'],
                    'kind' => $plan['kind'],
                    'house' => $plan['house'],
                    'field_map' => $plan['field_map'] ?? null,
                    'pool' => $plan['pool'] ?? null,
                ],
            );
            foreach ($plan['members'] as $handle => $role) {
                $production->memberships()->create(['user_id' => $people[$handle]->id, 'role' => $role]);
            }
            foreach ($plan['roots'] as $label => $path) {
                $production->intakeRoots()->create(['label' => $label, 'path' => $path]);
            }
            $specifications = [];
            foreach ($plan['specifications'] as $title => $data) {
                $specification = $production->specifications()->create(['title' => $title]);
                $specification->revise(['title' => $title] + $data, $people['odile']);
                $specifications[$title] = $specification->id;
            }
            foreach ($plan['deliverables'] as $owed) {
                $this->deliverable($production, $owed, $specifications, $people, $plan['roots'], $desk);
                $this->output->write('.');
            }
        }
        $this->newLine();

        return self::SUCCESS;
    }

    /**
     * @param  array<string, mixed>  $owed
     * @param  array<string, int>  $specifications
     * @param  array<string, User>  $people
     * @param  array<string, string>  $roots
     */
    private function deliverable(
        Production $production,
        array $owed,
        array $specifications,
        array $people,
        array $roots,
        CheckDesk $desk,
    ): void {
        /**
         * @var array{code: string, title: string, owner: string, due: int, specification: string,
         *   require: array<string, mixed>, scene: array<string, mixed>|string|null, render: array<string, mixed>,
         *   mistakes: Mistakes|null, besides?: list<array{array<string, mixed>, Mistakes}>, preview?: string} $owed
         */
        $owner = $people[$owed['owner']];
        $deliverable = Deliverable::query()->create([
            'production_id' => $production->id,
            'specification_id' => $specifications[$owed['specification']],
            'owner_id' => $owner->id,
            'code' => $owed['code'],
            'title' => $owed['title'],
            'due_at' => Carbon::now()->startOfHour()->addHours($owed['due']),
            'values' => [],
            'overrides' => $owed['require'],
        ]);
        $deliverable->keepParts();
        if ($owed['scene'] !== null) {
            [$name, $content] = is_string($owed['scene'])
                ? ["{$owed['code']}.txt", $owed['scene']]
                : [
                    "{$owed['code']}_light_v003.json",
                    (string) json_encode(
                        Scenario::sceneDocument($owed['code'], $owed['scene']),
                        JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES,
                    ),
                ];
            $scene = [
                'user_id' => $owner->id,
                'file_name' => $name,
                'content' => $content,
                'field_map' => $production->field_map,
            ];
            if ($owed['mistakes'] !== null) {
                $deliverable->scenes()->create($scene);
            } else {
                $desk->bringScene($deliverable, $scene, $owner);
                $deliverable->update(
                    ['frame_times' => is_string($owed['scene']) ? null : '3 min 10 s, 2 min 55 s, 3 min 40 s'],
                );
            }
        }
        $folder = (string) config('ledger.intake')
            .'/'
            .strtr(array_values($roots)[0], ['{shot}' => $owed['code'], '{learner}' => $owner->handle]);
        File::ensureDirectoryExists($folder);
        if ($owed['mistakes'] === null) {
            return;
        }
        File::deleteDirectory("{$folder}/v003");
        $renderer = new StandInRenderer(Carbon::now()->subHours(9)->getTimestamp());
        foreach ([[$owed['render'], $owed['mistakes']], ...$owed['besides'] ?? []] as [$render, $mistakes]) {
            $settings = (new SceneJson)->read(
                (string) json_encode(Scenario::sceneDocument($owed['code'], $render)),
                'demo',
            );
            $renderer->render($settings, "{$folder}/v003", $mistakes);
        }
        if (isset($owed['preview'])) {
            $renderer->preview("{$folder}/v003/{$owed['preview']}", 320, 180, 24, 1, 96);
        }
        $root = $production->intakeRoots()->firstOrFail();
        $deliverable->load('production', 'owner');
        $desk->checkFolder(
            $deliverable,
            IntakeFolder::open($root, basename($folder).'/v003', $deliverable, false),
            ScanDepth::Quick,
            $owner,
        );
    }
}
