<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Checks\CheckFolder;
use App\Actions\Checks\CheckScene;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Demo\Handover;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\MovieTraits;
use PlainLedger\Demo\Scenario;
use PlainLedger\Demo\StandInRenderer;

/** Makes the demo: people, productions, files as the stand-in renderer writes them, and a first check of each. */
final class MakeDemo extends Command
{
    protected $signature = 'ledger:demo {--only-if-empty : do nothing where there are people already}';

    protected $description = 'Makes the demo data';

    public function __construct(private readonly CheckScene $checkScene, private readonly CheckFolder $checkFolder)
    {
        parent::__construct();
    }

    public function handle(): int
    {
        if ($this->option('only-if-empty') && User::query()->exists()) {
            return self::SUCCESS;
        }
        $people = [];
        foreach (Scenario::people() as $person) {
            $people[$person['handle']] = User::query()->create($person + ['password' => Scenario::PASSWORD]);
        }
        $people['odile']->forceFill(['is_administrator' => true])->save();
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
                $this->deliverable($production, $owed, $specifications, $people, $plan['roots']);
                $this->output->write('.');
            }
        }
        $this->handOver();
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
    ): void {
        /**
         * @var array{code: string, title: string, owner: string, due: int, specification: string,
         *   require: array<string, mixed>, scene: array<string, mixed>|string|null, render: array<string, mixed>,
         *   mistakes: Mistakes|null, besides?: list<array{array<string, mixed>, Mistakes}>,
         *   movie?: array{string, array{int, int}, FrameRange, MovieTraits}} $owed
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
            $this->bringScene($deliverable, $owed['scene'], $owed['mistakes'] === null, $owner);
        }
        $folder = (string) config('ledger.intake')
            .'/'
            .strtr(array_values($roots)[0], ['{shot}' => $owed['code'], '{learner}' => $owner->handle]);
        File::ensureDirectoryExists($folder);
        if ($owed['mistakes'] === null) {
            return;
        }
        File::deleteDirectory("{$folder}/v003");
        $isMovie = Kind::tryFrom((string) ($owed['render']['format.kind'] ?? ''))?->isMovie() === true;
        $renders = $isMovie ? [] : [[$owed['render'], $owed['mistakes']], ...$owed['besides'] ?? []];
        self::render($owed['code'], "{$folder}/v003", $renders, $owed['movie'] ?? null);
        $root = $production->intakeRoots()->firstOrFail();
        $deliverable->load('production', 'owner');
        $intake = IntakeFolder::open($root, basename($folder).'/v003', $deliverable, false);
        $this->checkFolder->run($deliverable, $intake, ScanDepth::Quick, $owner);
    }

    /** Several shots in one tree, and what a learner has packed. */
    private function handOver(): void
    {
        $intake = (string) config('ledger.intake');
        File::deleteDirectory("{$intake}/tide_clock_deliveries");
        Handover::tree("{$intake}/tide_clock", "{$intake}/tide_clock_deliveries/friday");
        Handover::archive("{$intake}/output_practice/wren/v003", "{$intake}/output_practice/wren/wren_vane.zip");
    }

    /**
     * @param  array<string, mixed>|string  $settings
     * @param  bool  $alone  whether no files come after it, so that it is checked by itself
     */
    private function bringScene(Deliverable $deliverable, array|string $settings, bool $alone, User $owner): void
    {
        [$name, $content] = is_string($settings)
            ? ["{$deliverable->code}.txt", $settings]
            : [
                "{$deliverable->code}_light_v003.json",
                (string) json_encode(
                    Scenario::sceneDocument($deliverable->code, $settings),
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES,
                ),
            ];
        $scene = [
            'user_id' => $owner->id,
            'file_name' => $name,
            'content' => $content,
            'field_map' => $deliverable->production->field_map,
        ];
        if (! $alone) {
            $deliverable->scenes()->create($scene);

            return;
        }
        $this->checkScene->run($deliverable, $scene, $owner);
        $deliverable->update(['frame_times' => is_string($settings) ? null : '3 min 10 s, 2 min 55 s, 3 min 40 s']);
    }

    /**
     * @param  list<array{array<string, mixed>, Mistakes}>  $renders  settings, and what goes wrong
     * @param  array{string, array{int, int}, FrameRange, MovieTraits}|null  $movie  name, size, frames, how written
     */
    private static function render(string $code, string $folder, array $renders, ?array $movie): void
    {
        $renderer = new StandInRenderer(Carbon::now()->subHours(9)->getTimestamp());
        foreach ($renders as [$settings, $mistakes]) {
            $scene = (new SceneJson)->read((string) json_encode(Scenario::sceneDocument($code, $settings)), 'demo');
            $renderer->render($scene, $folder, $mistakes);
        }
        if ($movie !== null) {
            [$name, [$width, $height], $frames, $traits] = $movie;
            File::ensureDirectoryExists($folder);
            $renderer->movie("{$folder}/{$name}", $width, $height, $frames, $traits);
        }
    }
}
