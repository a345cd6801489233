<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\SeenPictures;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Media\Decoders\GdPixels;
use PlainLedger\Core\Media\Decoders\Movies\PointGrid;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** A movie whose codec is not decoded here, by the pictures that somebody's browser showed of it. */
final class SeenPicturesTest extends TestCase
{
    private const MOVIE = __DIR__.'/../../fixtures/movies/vp9.webm';

    private const COUNT = 24;

    private Workbench $bench;

    /** @var array<int, string> what a browser tells of each picture */
    private array $grids = [];

    protected function setUp(): void
    {
        $this->bench = new Workbench;
        $this->bench->put('reel.webm', (string) file_get_contents(self::MOVIE));
        foreach (range(0, self::COUNT - 1) as $i) {
            $picture = imagecreatetruecolor(64, 36) ?: self::fail('no image');
            imagefilledrectangle($picture, 2 * $i, 5, 2 * $i + 12, 20, 0xE0C040);
            ob_start();
            imagepng($picture);
            $this->bench->put(sprintf('a.%04d.png', 1001 + $i), (string) ob_get_clean());
            $this->grids[$i] = base64_encode(PointGrid::of(GdPixels::of($picture)));
        }
    }

    private static function asked(string $range = '1001-1024'): Specification
    {
        return Workbench::specification([], ['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                'time.range' => $range, 'naming.pattern' => 'a.{frame:4}.{ext}',
            ]],
            ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                'naming.pattern' => 'reel.{ext}',
            ]],
        ]]);
    }

    private function movie(): ListedFile
    {
        return FolderListing::of($this->bench->folder)->find('reel.webm') ?? self::fail('no movie');
    }

    /**
     * @param  array<int, string>  $grids
     * @return array<string, mixed>
     */
    private function checked(array $grids, Specification $asked, ?ListedFile $movie = null): array
    {
        $seen = SeenPictures::of($movie ?? $this->movie(), self::COUNT, $grids) ?? self::fail('they are refused');
        // as it is handed to another process
        $order = ContentOrder::fromArray((array) json_decode(
            (string) json_encode((new ContentOrder(seen: ['reel' => $seen]))->toArray()),
            true,
        ));
        $listing = FolderListing::of($this->bench->folder);
        $delivery = MovieLook::at($asked, $this->bench->scan(), $listing, null, $order->seen);
        $check = CheckReport::of($asked, null, $delivery)->toArray();

        return [
            'found' => array_column($check['entries'], 'files', 'id')['content.source']['found'] ?? null,
            'causes' => array_column($check['causes'], 'id'),
            'against' => $check['movies'][0]['against'],
        ];
    }

    public function test_all_of_them_or_some_are_the_frames(): void
    {
        $all = $this->checked($this->grids, self::asked());
        self::assertSame('yes, as a browser shows it', $all['found']);
        self::assertSame(['pictures', 'browser'], [$all['against']['looked'], $all['against']['through']]);
        self::assertSame([], $all['causes']);
        $some = $this->checked(array_intersect_key($this->grids, [0 => 1, 11 => 1, 23 => 1]), self::asked());
        self::assertSame('yes, as a browser shows it', $some['found']);
    }

    public function test_another_order_and_another_light(): void
    {
        $reversed = $this->checked(array_reverse($this->grids), self::asked());
        self::assertSame('in reverse order, as a browser shows it', $reversed['found']);
        self::assertSame(['frames-in-wrong-order'], $reversed['causes']);
        // a browser has its own ways with colours: nothing is said of them
        $lighter = array_map(static fn (string $grid): string => base64_encode(implode('', array_map(
            static fn (string $byte): string => chr(min(255, intdiv(13 * ord($byte), 10) + 20)),
            str_split((string) base64_decode($grid, true)),
        ))), $this->grids);
        self::assertSame('yes, as a browser shows it', $this->checked($lighter, self::asked())['found']);
    }

    public function test_they_count_for_the_very_file_and_as_many_frames(): void
    {
        $movie = $this->movie();
        $other = new ListedFile('', 'reel.webm', $movie->size + 1, $movie->modified, null, $movie->identity);
        $changed = $this->checked($this->grids, self::asked(), $other);
        self::assertNull($changed['found']);
        self::assertSame('vp9 in WebM is not decoded here', $changed['against']['why_not']);
        $short = $this->checked($this->grids, self::asked('1001-1020'));
        self::assertNull($short['found']);
        self::assertStringContainsString('another count', $short['against']['why_not']);
    }

    public function test_without_a_whole_frame_nothing_is_held_against_them(): void
    {
        foreach (range(1001, 1024) as $frame) {
            $this->bench->put("a.{$frame}.png", 'no picture');
        }
        $none = $this->checked($this->grids, self::asked());
        self::assertSame([null, 'nothing is there to be compared'], [$none['found'], $none['against']['why_not']]);
    }

    public function test_what_are_no_pictures_of_it_are_refused(): void
    {
        $movie = $this->movie();
        foreach ([[], [0 => 'AAAA'], [-1 => $this->grids[0]], [24 => $this->grids[0]], ['a' => $this->grids[0]],
            [0 => [1]], [0 => null]] as $grids) {
            self::assertNull(SeenPictures::of($movie, self::COUNT, $grids));
        }
        self::assertNull(SeenPictures::of($movie, 500, array_fill(0, 401, $this->grids[0])));
    }
}
