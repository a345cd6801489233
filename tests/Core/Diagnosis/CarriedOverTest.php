<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\MovieTraits;
use PlainLedger\Demo\MovieWriter;
use PlainLedger\Demo\Painter;
use PlainLedger\Demo\PngWriter;
use Tests\Core\Support\Workbench;

/** A movie that shows its frames as they are is not the one that has gone wrong. */
final class CarriedOverTest extends TestCase
{
    private static function asked(string $size = '64x36'): Specification
    {
        $data = [
            'format' => Specification::FORMAT, 'version' => 1,
            'parts' => [
                ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                    'picture.resolution' => $size, 'time.rate' => '24', 'time.range' => '1-12',
                    'naming.pattern' => 'a.{frame:4}.png',
                ]],
                ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                    'naming.pattern' => 'reel.{ext}',
                ]],
            ],
        ];

        return Specification::fromDocument(
            JsonDocument::parse((string) json_encode($data), 'spec.json', Specification::FORMAT),
        );
    }

    /** @return Workbench frames, and a movie of the first so many of them */
    private static function bench(string $frames, int $pictures, int $width = 64, int $height = 36): Workbench
    {
        $bench = new Workbench;
        $painter = new Painter($width, $height);
        foreach (FrameRange::parse($frames)->numbers() as $n) {
            $bytes = (new PngWriter($width, $height, 'RGB', 8))->write($painter->lines($n * 5));
            $bench->put(sprintf('a.%04d.png', $n), $bytes);
        }
        $files = array_slice(glob("{$bench->folder}/a.*.png") ?: [], 0, $pictures);
        $read = array_map(static fn (string $path): string => (string) file_get_contents($path), $files);

        return $bench->put('reel.mp4', (new MovieWriter($width, $height, new MovieTraits))->write($read));
    }

    /** @return list<array{string, string, list<string>}> part, id and what it explains */
    private static function causes(Workbench $bench, ?Specification $asked = null): array
    {
        $check = $bench->check($asked ?? self::asked());
        foreach ($check['entries'] as $entry) {
            if ($entry['mark'] === 'unequal') {
                $explained = array_filter($check['causes'], static fn (array $c): bool => $c['part'] === $entry['part']
                    && in_array($entry['id'], $c['explains'], true));
                self::assertCount(1, $explained, "{$entry['part']} {$entry['id']}");
            }
        }

        return array_map(static fn (array $c): array => [$c['part'], $c['id'], $c['explains']], $check['causes']);
    }

    public function test_a_movie_of_a_render_that_stopped(): void
    {
        self::assertSame([
            ['frames', 'render-stopped', ['time.range']],
            ['reel', 'render-stopped', ['time.count', 'content.source']],
        ], self::causes(self::bench('1-7', 7)));
        $says = self::bench('1-7', 7)->check(self::asked())['causes'][1]['says'];
        self::assertSame(
            'The movie has 7 pictures, and 12 are asked: 5 pictures too few. '
                .'So it is with frames, of which it is made.',
            $says,
        );
    }

    public function test_a_movie_that_leaves_out_more_is_short_by_itself(): void
    {
        $causes = self::causes(self::bench('1-9', 5));

        self::assertContains(['reel', 'movie-short', ['time.count', 'content.source']], $causes);
        self::assertContains(['frames', 'render-stopped', ['time.range']], $causes);
        // and one of whole frames is so all the more
        self::assertSame(
            [['reel', 'movie-short', ['time.count', 'content.source']]],
            self::causes(self::bench('1-12', 7)),
        );
    }

    public function test_holes_are_passed_over_and_are_no_other_order(): void
    {
        // all that is there: the holes are the frames' own
        self::assertSame([
            ['frames', 'frames-dropped', ['time.range']],
            ['reel', 'frames-dropped', ['time.count', 'content.source']],
        ], self::causes(self::bench('1-4,6-8,10-12', 10)));
        // and two more left out at the end, which is the assembly's
        $causes = self::causes(self::bench('1-4,6-8,10-12', 8));
        self::assertContains(['reel', 'movie-short', ['time.count', 'content.source']], $causes);
        self::assertNotContains('frames-in-wrong-order', array_column($causes, 1));
        $check = self::bench('1-4,6-8,10-12', 8)->check(self::asked());
        $found = array_column(array_column($check['entries'], 'files'), 'found');
        self::assertContains('frames 1-4,6-8,10', $found);
    }

    public function test_one_that_is_out_of_order_still_is(): void
    {
        $bench = self::bench('1-4,6-8,10-12', 10);
        $files = glob("{$bench->folder}/a.*.png") ?: [];
        [$files[2], $files[7]] = [$files[7], $files[2]];
        $read = array_map(static fn (string $path): string => (string) file_get_contents($path), $files);
        $bench->put('reel.mp4', (new MovieWriter(64, 36, new MovieTraits))->write($read));
        $causes = self::causes($bench);

        self::assertContains('frames-in-wrong-order', array_column($causes, 1));
        // it has as many as there are frames, so its count is theirs
        self::assertContains(['reel', 'frames-dropped', ['time.count']], $causes);
    }

    public function test_a_movie_of_more_than_is_asked_has_what_its_frames_have(): void
    {
        $causes = self::causes(self::bench('1-16', 16));

        self::assertSame('frames', $causes[0][0]);
        self::assertNotContains('movie-long', array_column($causes, 1));
        // of the frames that are asked, and held too long, it is its own
        $bench = self::bench('1-12', 12);
        $files = glob("{$bench->folder}/a.*.png") ?: [];
        $read = array_map(static fn (string $path): string => (string) file_get_contents($path), $files);
        $bench->put('reel.mp4', (new MovieWriter(64, 36, new MovieTraits))->write([...$read, $read[11], $read[11]]));
        self::assertContains('movie-long', array_column(self::causes($bench), 1));
    }

    public function test_a_movie_that_has_a_mistake_of_its_own_beside_it(): void
    {
        $bench = self::bench('1-7', 7);
        $files = glob("{$bench->folder}/a.*.png") ?: [];
        $read = array_map(static fn (string $path): string => (string) file_get_contents($path), $files);
        $bench->put('reel.mp4', (new MovieWriter(64, 36, new MovieTraits(rate: [25, 1])))->write($read));
        $causes = self::causes($bench);

        self::assertSame(['frames', 'render-stopped', ['time.range']], $causes[0]);
        self::assertContains(['reel', 'rate-of-another-standard', ['time.rate']], $causes);
    }

    public function test_the_fixes_of_it_render_first_and_make_the_movie_then(): void
    {
        $check = self::bench('1-7', 7)->check(self::asked());

        self::assertSame([
            'Render 8-12, 5 frames.', 'Make the movie again from frames 1-12, each still one frame: 12 in all.',
        ], array_column($check['fixes'], 'says'));
        // and done so, it balances
        self::assertSame('balanced', self::bench('1-12', 12)->check(self::asked())['verdict']);
    }

    public function test_a_movie_of_frames_that_lie_on_their_side(): void
    {
        $causes = self::causes(self::bench('1-12', 12, 36, 64));

        self::assertSame('sides-swapped', $causes[0][1]);
        self::assertSame('frames', $causes[0][0]);
        self::assertNotContains('wrong-shape', array_column($causes, 1));
    }

    public function test_put_right_it_balances(): void
    {
        self::assertSame([], self::causes(self::bench('1-12', 12)));
    }
}
