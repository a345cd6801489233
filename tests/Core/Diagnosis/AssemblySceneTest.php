<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** A scene that assembles frames, before it is run: every mistake is told with what is typed in to mend it. */
final class AssemblySceneTest extends TestCase
{
    private const RIGHT = [
        'format.kind' => 'mp4', 'naming.pattern' => 'TC_010_reel.mp4', 'picture.resolution' => '1280x720',
        'time.rate' => '24', 'time.range' => '1001-1048',
    ];

    /** @param  array<string, mixed>  $movie */
    private static function asked(array $movie = []): Specification
    {
        $handles = $movie['handles'] ?? 0;
        unset($movie['handles']);
        $starts = ['time.range' => ['1-250'], 'picture.resolution' => ['400x300']];

        return Workbench::specification([], ['starting_values' => $starts, 'parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                'format.kind' => 'png', 'picture.resolution' => '1280x720', 'time.range' => '1001-1048',
                'time.rate' => '24', 'naming.pattern' => '{shot}.{frame:4}.{ext}', 'time.handles' => $handles,
            ]],
            ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => $movie + [
                'format.kind' => 'mp4', 'naming.pattern' => '{shot}_reel.{ext}',
            ]],
        ]]);
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $movie
     * @return array<string, mixed>
     */
    private static function checked(array $settings, array $movie = []): array
    {
        $scene = Workbench::scene($settings, ['saved' => true, 'part' => 'reel']);

        return CheckReport::of(self::asked($movie), $scene, null)->toArray();
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>, 2?: array<string, mixed>}> */
    public static function scenes(): iterable
    {
        yield 'right' => [[], []];
        yield 'right, numbered from one' => [['time.range' => '1-48'], []];
        yield 'right, at half the size' => [['picture.resolution' => '640x360'], []];
        yield 'short' => [['time.range' => '1001-1040'], ['movie-short']];
        yield 'one short' => [['time.range' => '1001-1047'], ['last-frame-left-out']];
        yield 'long' => [['time.range' => '1-60'], ['movie-long']];
        yield 'never set' => [['time.range' => '1-250'], ['range-never-set']];
        yield 'a size that was never set' => [['picture.resolution' => '400x300'], ['starting-size']];
        yield 'without handles' => [[], ['handles-left-out'], ['handles' => 8]];
        yield 'a step' => [['time.step' => 2], ['step-left-on']];
        yield 'one frame' => [['time.extent' => 'one'], ['single-frame-mode']];
        yield 'one frame of a short range by a step' => [
            ['time.extent' => 'one', 'time.range' => '1001-1040', 'time.step' => 2],
            ['single-frame-mode', 'step-left-on', 'movie-short'],
        ];
        yield 'another shape' => [['picture.resolution' => '1280x544'], ['stretched-in-assembly']];
        yield 'on its side' => [['picture.resolution' => '720x1280'], ['stretched-in-assembly']];
        yield 'pixels that are not square' => [['picture.pixel_aspect' => '2/1'], ['pixel-aspect-differs']];
        yield 'everything' => [
            ['picture.resolution' => '1000x1000', 'time.range' => '1-20', 'time.rate' => '25'],
            ['stretched-in-assembly', 'movie-short', 'rate-of-another-standard'],
        ];
        yield 'a size of its own that is asked' => [
            ['picture.resolution' => '1280x720'], [], ['picture.resolution' => '1280x720'],
        ];
        yield 'a count that is asked too' => [['time.range' => '1001-1040'], ['movie-short'], ['time.count' => 48]];
        yield 'a count of its own' => [['time.range' => '1001-1048'], ['value-differs'], ['time.count' => 40]];
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  list<string>  $causes
     * @param  array<string, mixed>  $movie
     */
    #[DataProvider('scenes')]
    public function test_each_mistake_is_told_and_its_work_mends_it(
        array $settings,
        array $causes,
        array $movie = [],
    ): void {
        $settings += self::RIGHT;
        $document = self::checked($settings, $movie);
        self::assertEqualsCanonicalizing($causes, array_column($document['causes'], 'id'));
        foreach ($document['fixes'] as $fix) {
            self::assertSame('set', $fix['kind'], $fix['says']);
            $settings[$fix['id']] = $fix['to'];
        }
        if (! in_array('value-differs', $causes, true)) {
            self::assertSame([], self::checked($settings, $movie)['causes']);
            self::assertSame($causes === [], $document['fixes'] === []);
        }
    }
}
