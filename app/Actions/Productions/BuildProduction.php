<?php

declare(strict_types=1);

namespace App\Actions\Productions;

use App\Actions\Checks\CheckFolder;
use App\Actions\Checks\CheckScene;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Demo\Mistakes;
use PlainLedger\Demo\MovieTraits;
use PlainLedger\Demo\Scenario;
use PlainLedger\Demo\StandInRenderer;

/** A production that was thought up: its files as the stand-in renderer writes them, and a first check of each. */
final readonly class BuildProduction
{
    public function __construct(private CheckScene $checkScene, private CheckFolder $checkFolder) {}

    /**
     * @param  array{code: string, name: string, kind: string, field_map?: list<array<string, mixed>>,
     *   pool?: array{machines: int, hours: string}, house: array<string, mixed>, roots: array<string, string>,
     *   members: array<string, string>, specifications: array<string, array<string, mixed>>,
     *   deliverables: list<array<string, mixed>>}  $plan
     * @param  array<string, User>  $people  by the names that the plan has for them
     * @param  \Closure(): mixed  $each  called after each deliverable
     */
    public function run(array $plan, array $people, User $by, \Closure $each): Production
    {
        $production = Production::query()->create([
            'code' => $plan['code'], 'name' => $plan['name'], 'kind' => $plan['kind'], 'house' => $plan['house'],
            'field_map' => $plan['field_map'] ?? null, 'pool' => $plan['pool'] ?? null,
        ]);
        foreach ($plan['members'] as $handle => $role) {
            $production->memberships()->create(['user_id' => $people[$handle]->id, 'role' => $role]);
        }
        foreach ($plan['roots'] as $label => $path) {
            $production->intakeRoots()->create(['label' => $label, 'path' => $path]);
        }
        $specifications = [];
        foreach ($plan['specifications'] as $title => $data) {
            $specification = $production->specifications()->create(['title' => $title]);
            $specification->revise(['title' => $title] + $data, $by);
            $specifications[$title] = $specification->id;
        }
        foreach ($plan['deliverables'] as $owed) {
            $this->deliverable($production, $owed, $specifications, $people, $plan['roots']);
            $each();
        }

        return $production;
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
