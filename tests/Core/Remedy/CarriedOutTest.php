<?php

declare(strict_types=1);

namespace Tests\Core\Remedy;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\SetAside;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Remedy\FileMoves\MovePlanner;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\ShotModel;
use Tests\Core\Support\Workbench;

/** Every fix that is told, carried out in its order and just as it is told, leaves a check that balances. */
final class CarriedOutTest extends TestCase
{
    /**
     * The plan for the files themselves leaves the names that carrying out step by step leaves.
     *
     * @param  list<array<string, mixed>>  $fixes
     */
    private static function assertPlanAgrees(ShotModel $model, array $fixes, string $why): void
    {
        $ends = array_fill_keys(array_keys($model->files), null);
        try {
            $plan = MovePlanner::plan($fixes, $model->listing(), 'x');
        } catch (MoveRefused $refused) {
            self::fail($refused->getMessage().$why);
        }
        foreach ($plan->moves as $move) {
            unset($ends[$move->from]);
            $moved[] = $move->to;
        }
        $all = [...array_keys($ends), ...$moved ?? []];
        $planned = array_values(array_filter($all, static fn (string $path): bool => ! SetAside::holds($path)));
        $copy = clone $model;
        foreach ($fixes as $fix) {
            if (in_array($fix['kind'], ['rename', 'move', 'set-aside'], true)) {
                $copy->carryOut($fix);
            }
        }
        $carried = array_keys($copy->files);
        sort($planned);
        sort($carried);
        self::assertSame($carried, $planned, $why);
    }

    public function test_random_deliveries_with_one_to_four_mistakes(): void
    {
        mt_srand(20261127);
        $seen = [];
        for ($round = 0; $round < 400; $round++) {
            $passes = [['beauty'], ['beauty', 'mist'], ['beauty', 'mist', 'shadow']][mt_rand(0, 2)];
            $model = new ShotModel(
                $passes,
                FrameRange::of(1001, 1000 + mt_rand(10, 16)),
                count($passes) > 1 && mt_rand(0, 1) === 1,
            );
            $mistakes = self::mistakes();
            $made = (array) array_rand($mistakes, mt_rand(2, 4));
            $done = [];
            foreach (array_slice($made, 0, mt_rand(1, count($made))) as $name) {
                $pass = mt_rand(0, 2) === 0 ? null : $passes[mt_rand(0, count($passes) - 1)];
                $mistakes[$name]($model, $pass);
                $done[] = $name.' of '.($pass ?? 'all');
            }
            $before = array_keys($model->files);
            $asked = $model->specification();
            $told = CheckReport::of($asked, null, $model->scan())->toArray();
            $seen += array_fill_keys(array_column($told['causes'], 'id'), true);
            $why = (string) json_encode(
                [$round, $done, $before, $told['causes'], $told['fixes']],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            );
            self::assertPlanAgrees($model, $told['fixes'], $why);
            $model->rememberSettings();
            try {
                foreach ($told['fixes'] as $fix) {
                    $model->carryOut($fix);
                }
            } catch (\LogicException $impossible) {
                self::fail("{$impossible->getMessage()}\n{$why}");
            }
            $after = CheckReport::of($asked, null, $model->scan())->toArray();
            self::assertSame(
                ['balanced', [], []],
                [$after['verdict'], $after['causes'], $after['fixes']],
                $why.json_encode($after['causes'], JSON_PRETTY_PRINT),
            );
        }
        self::assertGreaterThan(25, count($seen), implode(', ', array_keys($seen)));
    }

    /** @return array<string, \Closure(ShotModel, string|null): void> */
    private static function mistakes(): array
    {
        $fact = static fn (
            string $name,
            mixed $value,
            ?\Closure $which = null,
        ): \Closure => static fn (ShotModel $m, ?string $pass) => $m->change(
            $pass,
            static function (string $path, array $file) use ($name, $value, $which): array {
                if ($file['facts']['state'] !== 'stray' && ($which === null || $which($file))) {
                    $file['facts'][$name] = $value;
                }

                return [$path => $file];
            },
        );
        $named = static fn (string $from, string $to): \Closure => static fn (
            ShotModel $m,
            ?string $pass,
        ) => $m->change(
            $pass,
            static fn (string $path, array $file): array => [
                $file['facts']['state'] === 'stray' ? $path : (string) preg_replace($from, $to, $path) => $file,
            ],
        );
        $only = static fn (\Closure $stays): \Closure => static fn (ShotModel $m, ?string $pass) => $m->change(
            $pass,
            static fn (string $path, array $file): array => $file['facts']['state'] === 'stray' || $stays($file, $m)
                ? [$path => $file]
                : [],
        );
        $shifted = static fn (int $by): \Closure => static fn (ShotModel $m, ?string $pass) => $m->change(
            $pass,
            static fn (string $path, array $file): array => [
                (string) preg_replace_callback(
                    '~(\d+)(\.\w+)$~',
                    static fn (array $n): string => str_pad(
                        (string) ((int) $n[1] + $by),
                        strlen($n[1]),
                        '0',
                        STR_PAD_LEFT,
                    )
                        .$n[2],
                    $path,
                ) => $file,
            ],
        );

        return [
            'half size' => $fact('size', [32, 18]),
            'swapped' => $fact('size', [36, 64]),
            'another shape' => $fact('size', [64, 48]),
            'eight bits' => $fact('bits', 8),
            'no alpha' => $fact('channels', 'RGB'),
            'wide pixels' => $fact('density', [10, 11]),
            'one frame half' => $fact('size', [32, 18], static fn (array $f): bool => $f['frame'] === 1005),
            'half from one on' => $fact('size', [32, 18], static fn (array $f): bool => $f['frame'] > 1006),
            'an empty one' => $fact('state', 'empty', static fn (array $f): bool => $f['frame'] === 1004),
            'two cut short' => $fact(
                'state',
                'cut',
                static fn (array $f): bool => in_array($f['frame'], [1003, 1007], true),
            ),
            'the last cut short' => $fact('state', 'cut', static fn (array $f): bool => $f['frame'] === 1009),
            'stopped' => $only(static fn (array $f): bool => $f['frame'] < 1008),
            'dropped' => $only(static fn (array $f): bool => ! in_array($f['frame'], [1004, 1006], true)),
            'without the last' => $only(static fn (array $f, ShotModel $m): bool => $f['frame'] !== $m->range->last()),
            'every second' => $only(static fn (array $f): bool => $f['frame'] % 2 === 1),
            'every second, from the second on' => $only(static fn (array $f): bool => $f['frame'] % 2 === 0),
            'all gone' => $only(static fn (): bool => false),
            'begins late' => $only(static fn (array $f): bool => $f['frame'] > 1003),
            'from one' => $shifted(-1000), 'from zero' => $shifted(-1001),
            'a dash' => $named('~TC_010~', 'TC-010'),
            'small letters' => $named('~TC_~', 'tc_'),
            'misspelled' => $named('~TC_010~', 'TC_O10'),
            'a space' => $named('~TC_010~', 'TC 010'),
            'five digits' => $named('~\.(\d{4})\.~', '.0$1.'),
            'capitals' => $named('~\.png$~', '.PNG'),
            'number first' => $named('~out/(.*?)TC_010(.*)\.(\d+)\.png$~', 'out/$1$3_TC_010$2.png'),
            'another version' => $named('~v003~', 'v002'),
            'extension twice' => $named('~\.png$~', '.png.png'),
            'elsewhere' => $named('~^out/~', 'tmp/'),
            'at the root' => $named('~^out/(?:\w+/)?~', ''),
            'another shot' => $named('~TC_010~', 'TC_020'),
            'a note' => static function (ShotModel $m): void {
                $m->files['out/notes.txt'] = [
                    'pass' => '',
                    'frame' => 0,
                    'facts' => [
                        'state' => 'stray',
                        'size' => [1, 1],
                        'bits' => 8,
                        'channels' => 'RGB',
                        'density' => null,
                    ],
                    'time' => Workbench::NOW - 90_000,
                ];
            },
            'a copy' => static function (ShotModel $m): void {
                foreach ($m->files as $path => $file) {
                    if ($file['facts']['state'] !== 'stray') {
                        $m->files[(string) preg_replace('~(\.\w+)$~', ' (1)$1', $path)] = $file;

                        return;
                    }
                }
            },
            'frames beyond' => static function (ShotModel $m, ?string $pass): void {
                foreach ($pass === null ? $m->passes : [$pass] as $each) {
                    $m->render($each, $m->range->last() + 1);
                    $m->render($each, $m->range->last() + 2);
                }
            },
        ];
    }

    public function test_random_scenes_with_one_to_four_mistakes(): void
    {
        mt_srand(11272026);
        $asked = self::asked();
        $seen = [];
        for ($round = 0; $round < 400; $round++) {
            [$settings, $scene] = [
                self::SETTINGS,
                ['file' => 'TC_010_light_v003', 'saved' => true, 'project_folder' => 'tide_clock'],
            ];
            $made = (array) array_rand(self::WRONG, mt_rand(2, 4));
            $made = array_slice($made, 0, mt_rand(1, count($made)));
            foreach ($made as $at) {
                foreach (self::WRONG[$at] as $id => $value) {
                    if ($id === 'scene.saved') {
                        $scene['saved'] = $value;
                    } else {
                        $settings[$id] = $value;
                    }
                }
            }
            $told = self::check($asked, $settings, $scene);
            $seen += array_fill_keys(array_column($told['causes'], 'id'), true);
            $why = (string) json_encode(
                [
                    $round,
                    array_map(static fn (int|string $at): array => self::WRONG[$at], $made),
                    $told['causes'],
                    $told['fixes'],
                ],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
            );
            self::assertNotSame([], $told['fixes'], $why);
            foreach ($told['fixes'] as $fix) {
                self::assertSame('set', $fix['kind'], $why);
                [$settings, $scene] = self::set($settings, $scene, $fix);
            }
            $after = self::check($asked, $settings, $scene);
            self::assertSame(
                ['balanced', []],
                [$after['verdict'], $after['fixes']],
                $why.json_encode([$settings, $after['causes']], JSON_PRETTY_PRINT),
            );
        }
        self::assertGreaterThan(30, count($seen), implode(', ', array_keys($seen)));
    }

    private const SETTINGS = [
        'picture.resolution' => '1920x1080',
        'picture.scale' => 100,
        'picture.pixel_aspect' => 1,
        'picture.region' => 'full',
        'picture.scan' => 'progressive',
        'time.rate' => 24,
        'time.animation_rate' => 24,
        'time.range' => '1001-1096',
        'time.step' => 1,
        'time.extent' => 'listed',
        'time.timeline' => '990-1110',
        'time.speed' => '1/1',
        'camera.chosen' => ['cam_quay'],
        'camera.all' => ['cam_quay', 'cam_wide'],
        'camera.views' => ['top', 'working'],
        'render.quality' => 'final',
        'render.samples' => 256,
        'render.motion_blur' => 'on',
        'render.overlays' => 'off',
        'output.folder' => 'renders/TC_010',
        'naming.pattern' => 'TC_010_light_v003.####.exr',
        'format.kind' => 'exr', 'format.bit_depth' => 16, 'format.sample' => 'float', 'format.channels' => 'RGBA',
        'format.alpha' => 'premultiplied', 'format.compression' => 'zip', 'colour.encoding' => 'linear',
        'colour.view' => 'none', 'burn_in' => 'none', 'audio.presence' => 'none', 'other.fog' => 3,
        'passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => true]],
        'scene.links' => [['path' => 'a.tif', 'present' => true]],
    ];

    private const WRONG = [
        ['picture.resolution' => '1280x720'],
        ['picture.resolution' => '1080x1920'],
        ['picture.resolution' => '1920x1200'],
        ['picture.resolution' => '1921x1080'],
        ['picture.scale' => 50],
        ['picture.scale' => 200],
        ['picture.pixel_aspect' => '10/11'],
        ['picture.region' => 'on'],
        ['picture.scan' => 'fields'],
        ['time.rate' => 25], ['time.rate' => '23.976'], ['time.animation_rate' => 25], ['time.range' => '1001-1060'],
        ['time.range' => '1-96'], ['time.range' => '1001-1095'], ['time.range' => '1-250'],
        ['time.range' => '1009-1088'], ['time.step' => 2], ['time.extent' => 'one'], ['time.extent' => 'whole'],
        ['time.speed' => '2/1'],
        ['camera.chosen' => []],
        ['camera.chosen' => ['working']],
        ['camera.chosen' => ['cam_wide']],
        ['camera.chosen' => ['cam_quay', 'cam_wide']],
        ['render.quality' => 'draft'],
        ['render.samples' => 16],
        ['render.motion_blur' => 'off'],
        ['render.overlays' => 'on'],
        ['output.folder' => ''],
        ['output.folder' => '/tmp'],
        ['output.folder' => 'renders/TC_020'],
        ['naming.pattern' => 'TC_010_light_v003.exr'],
        ['naming.pattern' => 'TC-010_light_v003.####.exr'],
        ['naming.pattern' => 'TC_010_light_v002.####.exr'],
        ['naming.pattern' => 'TC_020_light_v003.####.exr'],
        ['naming.pattern' => 'tc_010_light_v003.###.exr'],
        ['format.kind' => 'png'],
        ['format.kind' => 'mp4'],
        ['format.kind' => 'jpeg'],
        ['format.bit_depth' => 8],
        ['format.sample' => 'uint'],
        ['format.bit_depth' => 8, 'format.sample' => 'uint'],
        ['format.channels' => 'RGB'],
        ['format.alpha' => 'none'],
        ['format.alpha' => 'straight'],
        ['format.channels' => 'RGB', 'format.alpha' => 'none'],
        ['format.compression' => 'dwaa'],
        ['format.compression' => 'none'],
        ['colour.encoding' => 'srgb'],
        ['colour.view' => 'film'],
        ['burn_in' => 'frame'],
        ['audio.presence' => 'yes'],
        ['other.fog' => 9],
        ['passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => false]]],
        ['passes' => [['name' => 'beauty', 'saved' => true]]],
        ['passes' => [['name' => 'beauty', 'saved' => false]]],
        ['scene.saved' => false], ['scene.links' => [['path' => 'a.tif', 'present' => false]]],
    ];

    private static function asked(): Specification
    {
        return Workbench::specification([
            'picture.resolution' => '1920x1080',
            'picture.scale' => 100,
            'picture.pixel_aspect' => '1/1',
            'picture.display_aspect' => '16:9',
            'picture.region' => 'full',
            'picture.scan' => 'progressive',
            'time.rate' => 24,
            'time.range' => '1001-1096',
            'time.step' => 1,
            'time.count' => 96,
            'time.duration' => '4 s',
            'time.extent' => 'listed',
            'time.speed' => '1/1',
            'camera.name' => 'cam_q*',
            'camera.single' => 'yes',
            'scene.saved' => 'yes',
            'scene.links' => 'yes',
            'render.quality' => 'final',
            'render.samples' => ['min' => 128],
            'render.motion_blur' => 'on',
            'render.overlays' => 'off',
            'output.folder' => 'renders/{shot}',
            'output.overwrites' => 'no',
            'format.kind' => 'exr',
            'format.bit_depth' => 16,
            'format.sample' => 'float',
            'format.channels' => 'RGBA',
            'format.alpha' => 'premultiplied',
            'format.compression' => ['zip', 'zips'],
            'colour.encoding' => 'linear',
            'colour.view' => 'none',
            'burn_in' => 'none',
            'audio.presence' => 'none',
            'other.fog' => ['min' => 1, 'max' => 4],
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}', 'passes' => ['beauty', 'mist'],
        ], ['starting_values' => ['time.range' => ['1-250'], 'picture.resolution' => ['640x480']]]);
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $scene
     * @return array<string, mixed>
     */
    private static function check(Specification $asked, array $settings, array $scene): array
    {
        $settings += ['output.overwrites' => 'no'];

        return CheckReport::of($asked, Workbench::scene($settings, $scene), null)->toArray();
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $scene
     * @param  array<string, mixed>  $fix
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    private static function set(array $settings, array $scene, array $fix): array
    {
        $to = (string) $fix['to'];
        self::assertDoesNotMatchRegularExpression(
            '~[*?|]|>=|\{|^one |^a ~',
            $fix['id'] === 'passes' ? '' : $to,
            'a value that one can type in: '.json_encode($fix),
        );
        match ($fix['id']) {
            'scene.saved' => $scene['saved'] = $to === 'yes',
            'scene.links' => $settings['scene.links'] = [['path' => 'a.tif', 'present' => $to === 'present']],
            'camera.chosen', 'camera.name' => $settings['camera.chosen'] = [$to],
            'passes' => $settings['passes'] = array_map(
                static fn (string $name): array => ['name' => $name, 'saved' => true],
                explode(' | ', $to),
            ),
            default => $settings[(string) $fix['id']] = $to,
        };

        return [$settings, $scene];
    }

    public function test_a_scene_and_its_files_both_short_are_both_mended(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1001-1040', Workbench::png());
        $asked = Workbench::specification(
            ['time.range' => '1001-1096', 'naming.pattern' => '{shot}.{frame:4}.{ext}', 'format.kind' => 'png'],
        );
        $account = static fn (SceneSettings $scene): array => CheckReport::of(
            $asked,
            $scene,
            $bench->scan(),
        )->toArray();
        $told = $account(
            Workbench::scene(
                ['time.range' => '1001-1050', 'naming.pattern' => 'TC_010.####.png', 'format.kind' => 'png'],
            ),
        );
        self::assertSame(
            [['set', '1001-1096'], ['render', '1041-1096']],
            array_map(static fn (array $f): array => [$f['kind'], $f['to'] ?? $f['frames']], $told['fixes']),
        );
        // a scene that completes what is there is no mistake, one that leaves a gap is
        $completing = $account(
            Workbench::scene(
                ['time.range' => '1041-1096', 'naming.pattern' => 'TC_010.####.png', 'format.kind' => 'png'],
            ),
        );
        self::assertSame(
            [['render-stopped'], 'equal', '1041-1096, which completes what is there'],
            [
                array_column($completing['causes'], 'id'),
                $completing['entries'][0]['scene']['mark'],
                $completing['entries'][0]['scene']['found'],
            ],
        );
        $gap = $account(
            Workbench::scene(
                ['time.range' => '1051-1096', 'naming.pattern' => 'TC_010.####.png', 'format.kind' => 'png'],
            ),
        );
        self::assertEqualsCanonicalizing(['render-stopped', 'resume-leaves-gap'], array_column($gap['causes'], 'id'));
        self::assertContains(
            ['set', '1041-1096'],
            array_map(static fn (array $f): array => [$f['kind'], $f['to'] ?? $f['frames']], $gap['fixes']),
        );
    }
}
