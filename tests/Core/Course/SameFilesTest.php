<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\DeliveryPrint;
use PlainLedger\Core\Course\SameFiles;
use PlainLedger\Core\Course\SharedTraits;
use PlainLedger\Core\Delivery\FolderListing;
use Tests\Core\Support\Workbench;

final class SameFilesTest extends TestCase
{
    private static function png(int $shade, int $level = 6): string
    {
        $image = imagecreatetruecolor(16, 9);
        self::assertNotFalse($image);
        imagefilledrectangle($image, 0, 0, 7, 8, (int) imagecolorallocate($image, $shade, 40, 90));
        ob_start();
        imagepng($image, null, $level);

        return (string) ob_get_clean();
    }

    /** @param  array<string, string>  $files  bytes by name */
    private static function of(array $files, int $time): DeliveryPrint
    {
        $bench = new Workbench;
        foreach ($files as $name => $bytes) {
            $bench->put($name, $bytes);
            touch("{$bench->folder}/{$name}", $time += 10);
        }

        return DeliveryPrint::of(FolderListing::of($bench->folder));
    }

    /**
     * @param  array<string, DeliveryPrint>  $prints
     * @return list<string> who with whom, and how much of each
     */
    private static function among(array $prints): array
    {
        return array_map(static fn (SharedTraits $s): string => sprintf(
            '%s %s: %d files, %d pictures, %d told, %d times',
            $s->a,
            $s->b,
            count($s->files),
            count($s->pictures),
            count($s->told),
            count($s->times),
        ), SameFiles::among($prints));
    }

    public function test_the_same_bytes_and_the_same_pixels(): void
    {
        $prints = [
            'wren' => self::of(['w_1.png' => self::png(10), 'w_2.png' => self::png(20)], 1_700_000_000),
            'tarn' => self::of(['t_1.png' => self::png(10), 't_2.png' => self::png(21)], 1_700_001_000),
            // packed otherwise, so other bytes with the same pixels
            'isla' => self::of(['i_1.png' => self::png(20, 0), 'i_2.png' => self::png(31)], 1_700_002_000),
            'fenn' => self::of(['f_1.png' => self::png(40), 'f_2.png' => self::png(41)], 1_700_003_000),
        ];

        self::assertSame([
            'wren tarn: 1 files, 0 pictures, 0 told, 0 times', 'wren isla: 0 files, 1 pictures, 0 told, 0 times',
        ], self::among($prints));
        $files = SameFiles::among($prints)[0]->files;
        self::assertSame([['w_1.png', 't_1.png']], $files);
    }

    public function test_what_most_of_a_class_share_was_given_to_them(): void
    {
        $prints = [];
        foreach (['wren', 'tarn', 'isla', 'holm', 'fenn', 'lowe'] as $at => $name) {
            $own = $name === 'lowe' ? 104 : 100 + $at;
            $files = ['given.png' => self::png(1), "{$name}.png" => self::png($own)];
            $prints[$name] = self::of($files, 1_700_000_000 + $at);
        }

        self::assertSame(['fenn lowe: 1 files, 0 pictures, 0 told, 0 times'], self::among($prints));
    }

    public function test_a_picture_of_one_colour_is_everybodys(): void
    {
        $black = static function (int $level): string {
            $image = imagecreatetruecolor(16, 9);
            self::assertNotFalse($image);
            ob_start();
            imagepng($image, null, $level);

            return (string) ob_get_clean();
        };
        self::assertSame([], self::among([
            'wren' => self::of(['a.png' => $black(9)], 1_700_000_000),
            'tarn' => self::of(['b.png' => $black(0)], 1_700_001_000),
        ]));
    }

    public function test_where_and_when_they_were_made(): void
    {
        $told = static fn (string $host): DeliveryPrint => DeliveryPrint::fromArray([
            'files' => [], 'pictures' => [], 'told' => ['HostComputer' => $host, 'Artist' => 'somebody'],
            'times' => ['a' => 5, 'b' => 6, 'c' => 7],
        ]);
        $found = SameFiles::among(['x' => $told('desk-7'), 'y' => $told('desk-7'), 'z' => $told('desk-8')]);

        self::assertSame(['x', 'y'], [$found[0]->a, $found[0]->b]);
        self::assertSame(['HostComputer: desk-7', 'HostComputer: desk-7'], $found[0]->told[0]);
        self::assertCount(3, $found[0]->times);
        // two files of one second are chance
        $few = DeliveryPrint::fromArray(['times' => ['a' => 5, 'b' => 6]]);
        self::assertSame([], SameFiles::among([$few, $few]));
    }

    public function test_it_is_kept_and_read_again(): void
    {
        $print = self::of(['a.png' => self::png(7), 'note.txt' => 'x'], 1_700_000_000);
        $kept = json_decode(json_encode($print->toArray(), JSON_THROW_ON_ERROR), true);

        self::assertIsArray($kept);
        self::assertEquals($print, DeliveryPrint::fromArray($kept));
        self::assertCount(2, $print->files);
        self::assertCount(1, $print->pictures);
        self::assertEquals(DeliveryPrint::fromArray([]), DeliveryPrint::fromArray(['files' => 7, 'times' => ['x']]));
    }

    public function test_of_a_large_delivery_some_are_read(): void
    {
        $bench = new Workbench;
        foreach (range(1, 450) as $n) {
            $bench->put(sprintf('f.%04d.txt', $n), "text {$n}");
        }
        $told = 0;
        $print = DeliveryPrint::of(FolderListing::of($bench->folder), static function () use (&$told): void {
            $told++;
        });

        self::assertCount(200, $print->files);
        self::assertContains('f.0001.txt', $print->files);
        self::assertContains('f.0450.txt', $print->files);
        self::assertGreaterThanOrEqual(200, $told);
    }
}
