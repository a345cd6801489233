<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\BlockerSummary;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\TextReport;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;
use Tests\Core\Support\Workbench;

/** Whatever stands in a document: it is read, told as not understood, or refused in a sentence. Never anything else. */
final class StrangeInputTest extends TestCase
{
    /** @return list<mixed> */
    private static function odd(): array
    {
        return [
            null, true, false, 0, -1, 1, 2.5, 1e300, -0.0, '', ' ', '0', '-', 'yes', 'none', 'auto', "a\nb", "x\0y",
            '1-10', '1001-1096', '10-1', '1-10x0', '-5--1', '99999999999999999999', '1920x1080', '0x0',
            '1/0', '10/11', '16:9', '2.39', '24', '23.976', '24000/1001', 'full', '1,2,3,4', '{frame}',
            '{frame:4}.{ext}', '{shot}{', '####', '%04d', '%s', '../../x', '/abs/path', 'C:\\x', '~', '*', '?', '[a-z]',
            '(', '\\',
            'ünïcödé', '日本', str_repeat('x', 3000), str_repeat('1,', 500), [], ['a'], [1, 2], [null], [[]], ['a' => 1],
            ['value' => 'x'], ['min' => 1], ['max' => 'x'], ['min' => 5, 'max' => 1], ['head' => 1, 'tail' => 2],
            ['level' => 'should', 'value' => 1],
            ['level' => 7],
            [['name' => 'a', 'saved' => true]],
            [['name' => 5]],
            [['path' => 'a', 'present' => 'maybe']],
            'RGBA',
            'rgb',
            'png',
            'exr',
            'zip | zips',
            'one',
            'listed',
            'whole',
            'timeline',
        ];
    }

    public function test_any_value_of_any_setting(): void
    {
        $specification = Workbench::specification([
            'picture.resolution' => '64x36',
            'picture.scale' => 100,
            'picture.pixel_aspect' => 1,
            'picture.display_aspect' => '16:9',
            'picture.region' => 'full',
            'time.rate' => 24,
            'time.range' => '1-10',
            'time.step' => 1,
            'time.count' => 10, 'time.extent' => 'listed', 'camera.name' => 'cam_*', 'camera.single' => 'yes',
            'scene.saved' => 'yes', 'scene.links' => 'yes', 'render.samples' => ['min' => 4],
            'render.quality' => 'final',
            'output.folder' => 'r/{shot}',
            'format.kind' => 'png',
            'format.bit_depth' => 8,
            'format.sample' => 'uint',
            'format.channels' => 'RGB',
            'format.alpha' => 'none',
            'format.compression' => 'lossless',
            'naming.pattern' => '{shot}.{frame:4}.{ext}',
            'naming.folder' => '{shot}',
            'passes' => ['a', 'b'],
            'other.fog' => 3,
        ], [
            'starting_values' => ['picture.resolution' => '40x30', 'time.range' => '1-60'],
            'delivers' => 'frames',
            'values' => ['shot' => 'X'],
        ]);
        $ids = [
            ...array_map(static fn ($d): string => $d->id, Catalogue::standard()->all()),
            'time.timeline',
            'camera.chosen',
            'camera.all',
            'camera.views',
            'scene.links',
            'passes',
            'other.fog',
            'nonsense',
        ];
        $checks = 0;
        foreach ($ids as $id) {
            foreach (self::odd() as $value) {
                $account = CheckReport::of($specification, Workbench::scene([$id => $value]), null);
                self::assertContains($account->check->verdict->value, ['open', 'unbalanced', 'balanced']);
                self::assertJson((string) json_encode($account->toArray(), JSON_THROW_ON_ERROR));
                $checks++;
            }
        }
        self::assertGreaterThan(4000, $checks);
    }

    public function test_random_scenes_beside_files_in_every_report(): void
    {
        mt_srand(77);
        $bench = (new Workbench)->frames('X.%04d.png', '1-8', Workbench::png())
            ->put('X.0005.png', '')
            ->put('note.txt', 'x');
        $delivery = $bench->scan();
        $odd = self::odd();
        $specification = Workbench::specification([
            'picture.resolution' => '64x36', 'time.rate' => 24, 'time.range' => '1-10', 'time.step' => 1,
            'camera.name' => 'cam', 'camera.single' => true, 'format.kind' => 'png', 'format.channels' => 'RGB',
            'naming.pattern' => '{shot}.{frame:4}.{ext}',
            'output.folder' => 'r',
            'content.whole' => 'yes',
            'delivery.extras' => 'none',
        ], ['values' => ['shot' => 'X'], 'delivers' => 'frames']);
        $ids = [
            'picture.resolution', 'picture.scale', 'time.rate', 'time.range', 'time.step', 'time.extent',
            'time.timeline', 'camera.chosen', 'camera.all', 'camera.views', 'camera.name', 'format.kind',
            'format.channels', 'format.compression', 'naming.pattern', 'output.folder', 'passes',
        ];
        for ($round = 0; $round < 400; $round++) {
            $settings = [];
            foreach ($ids as $id) {
                if (mt_rand(0, 2) > 0) {
                    $settings[$id] = $odd[mt_rand(0, count($odd) - 1)];
                }
            }
            $account = CheckReport::of(
                $specification,
                Workbench::scene(
                    $settings,
                    [
                        'file' => $odd[mt_rand(0, count($odd) - 1)],
                        'saved' => $odd[mt_rand(0, 5)],
                        'project_folder' => $odd[mt_rand(0, count($odd) - 1)],
                    ],
                ),
                $delivery,
            );
            foreach ([new TextReport, new CsvReport, new JunitReport] as $writer) {
                self::assertTrue(mb_check_encoding($writer->write($account), 'UTF-8'));
            }
            self::assertNotSame('', BlockerSummary::inWords($account));
            // every unequal must has its explanation, and only unequal lines are explained
            $unequal = array_map(
                static fn ($e): string => $e->id(),
                array_filter($account->check->entries, static fn ($e): bool => $e->isUnequal()),
            );
            $explained = array_unique(
                array_merge([], ...array_map(static fn ($c): array => $c->explains, $account->causes)),
            );
            self::assertEqualsCanonicalizing(
                array_values($unequal),
                array_values($explained),
                (string) json_encode($settings),
            );
            self::assertSame(
                '5,9-10',
                $account->toArray()['sequences'][0]['rerender'],
                (string) json_encode([$settings, $account->toArray()['causes']], JSON_PRETTY_PRINT),
            );
        }
    }

    public function test_any_value_of_any_requirement(): void
    {
        $refused = 0;
        $taken = 0;
        $bench = (new Workbench)->frames('X.%04d.png', '1-8', Workbench::png());
        $delivery = $bench->scan();
        foreach ([...Catalogue::standard()->all(), Catalogue::standard()->find('other.fog')] as $descriptor) {
            foreach (self::odd() as $value) {
                try {
                    $specification = Specification::resolve(
                        new Layer(
                            SetBy::Specification,
                            [
                                'delivers' => 'frames',
                                'values' => ['shot' => 'X'],
                                'require' => [$descriptor->id ?? '' => $value],
                            ],
                            'spec.json',
                        ),
                    );
                    $part = $specification->parts[0];
                    Prose::of($part);
                    Consequences::of($specification, $part);
                    foreach ($part->requirements as $requirement) {
                        self::assertNotSame('', $requirement->required());
                        self::assertNotSame('', $requirement->sentence());
                        // what was understood reads back as the same
                        $again = Specification::resolve(
                            new Layer(
                                SetBy::Specification,
                                ['delivers' => 'frames', 'require' => [$requirement->id() => $requirement->required()]],
                                'again',
                            ),
                        )->parts[0]->find($requirement->id());
                        self::assertSame($requirement->required(), $again?->required(), $requirement->id());
                    }
                    CheckReport::of(
                        $specification,
                        Workbench::scene(
                            ['time.range' => '1-8', 'picture.resolution' => '64x36', 'camera.chosen' => ['a']],
                        ),
                        $delivery,
                    )->toArray();
                    $taken++;
                } catch (PlainSentence $sentence) {
                    self::assertStringNotContainsString("\n", trim($sentence->getMessage()));
                    $refused++;
                }
            }
        }
        self::assertGreaterThan(1000, $refused);
        self::assertGreaterThan(700, $taken);
    }
}
