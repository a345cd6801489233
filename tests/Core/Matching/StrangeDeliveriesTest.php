<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Report\TextReport;
use Tests\Core\Support\Workbench;

/** Deliveries thrown together at random: what must hold of every account, whatever was handed in. */
final class StrangeDeliveriesTest extends TestCase
{
    /** @param  array<string, string>  $files path to bytes */
    private static function listing(array $files): Listing
    {
        return new class($files) implements Listing
        {
            public function mayGrow(): bool
            {
                return true;
            }

            public function root(): string
            {
                return '';
            }

            /** @param  array<string, string>  $files */
            public function __construct(private readonly array $files) {}

            public function files(): iterable
            {
                foreach ($this->files as $path => $bytes) {
                    $slash = strrpos((string) $path, '/');
                    yield new ListedFile(
                        $slash === false ? '' : substr((string) $path, 0, $slash),
                        $slash === false ? (string) $path : substr((string) $path, $slash + 1),
                        strlen($bytes),
                        Workbench::NOW - 90_000,
                    );
                }
            }

            public function open(ListedFile $file): ByteSource
            {
                return new StringSource($this->files[$file->path()]);
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
    }

    public function test_what_holds_of_every_account(): void
    {
        mt_srand(1234);
        $png = Workbench::png();
        $contents = [
            $png, $png, $png, $png, Workbench::png(32, 18), Workbench::png(channels: 'RGBA'), Workbench::exr(), '',
            substr($png, 0, 70), 'text',
            (string) file_get_contents(__DIR__.'/../../fixtures/encoders/q90-420.jpg'),
            (string) file_get_contents(__DIR__.'/../../fixtures/encoders/other.mp4'),
        ];
        $names = [
            'TC_010_%s.%04d.png', 'TC_010_%s.%04d.png', 'TC_010_%s.%04d.png', 'TC-010_%s.%03d.png', 'tc_010_%s_%d.PNG',
            '%2$04d_TC_010_%1$s.png', 'x/TC_010_%s.%04d.png', 'TC_010_%s.%04d (1).png', 'other_%s_%d.jpg',
            'a%s%d.exr', "odd\xFF%s%d.png", "line\n%s%d.png", '%s.%d', 'TC_010_%s.mp4', '.%s%d', '%s-%d~',
        ];
        $specification = Workbench::specification([
            'picture.resolution' => '64x36', 'time.range' => '1-12', 'time.step' => 1, 'time.count' => 12,
            'format.kind' => 'png', 'format.bit_depth' => 8, 'format.channels' => 'RGB', 'format.alpha' => 'none',
            'format.compression' => 'lossless',
            'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
            'naming.folder' => '.',
            'passes' => ['beauty', 'mist'],
            'content.whole' => 'yes',
            'content.uniform' => 'yes',
            'delivery.extras' => 'none',
        ]);
        $expected = FrameRange::of(1, 12);
        for ($round = 0; $round < 250; $round++) {
            $files = [];
            for ($sequence = mt_rand(0, 5); $sequence > 0; $sequence--) {
                $name = $names[mt_rand(0, count($names) - 1)];
                $pass = ['beauty', 'mist', 'beuaty', 'shadow'][mt_rand(0, 3)];
                $first = mt_rand(-2, 14);
                for ($n = $first; $n <= $first + mt_rand(0, 13); $n += mt_rand(1, 2)) {
                    $most = mt_rand(0, 9) < 7 ? 3 : count($contents) - 1;
                    $files[sprintf($name, $pass, $n)] = $contents[mt_rand(0, $most)];
                }
            }
            $delivery = (new Scan(self::listing($files), Probe::standard()))->run(Workbench::NOW);
            $account = CheckReport::of($specification, null, $delivery);
            $document = $account->toArray();
            $why = (string) json_encode(
                [array_keys($files), $document['causes']],
                JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRETTY_PRINT,
            );

            $unequal = array_column(
                array_filter($document['entries'], static fn (array $e): bool => $e['mark'] === 'unequal'),
                'id',
            );
            $explained = array_values(array_unique(array_merge([], ...array_column($document['causes'], 'explains'))));
            self::assertEqualsCanonicalizing($unequal, $explained, $why);
            self::assertSame(
                $unequal === [] ? 'balanced' : 'unbalanced',
                $document['verdict'] === 'open' ? 'balanced' : $document['verdict'],
                $why,
            );
            $seen = 0;
            foreach ($document['sequences'] as $line) {
                $present = FrameRange::parse($line['present']);
                if ($line['part'] === null) {
                    continue;
                }
                self::assertTrue($expected->covers(FrameRange::parse($line['rerender'])), $why);
                self::assertTrue($present->covers(FrameRange::parse($line['damaged'])), $why);
                self::assertSame((string) $expected->minus($present), $line['missing']);
                self::assertSame((string) $present->minus($expected), $line['extra']);
                $seen++;
            }
            self::assertContains($seen, [1, 2]);
            if ($files === []) {
                self::assertSame('nothing-delivered', $document['causes'][0]['id']);
            }
            // nothing is lost: every file is a frame, a movie, in another sequence or a stray
            self::assertSame(count($files), $delivery->fileCount());
            self::assertJson((new JsonReport)->write($account));
            self::assertDoesNotMatchRegularExpression('~[\x00-\x09\x0B-\x1F\x7F]~', (new TextReport)->write($account));
        }
    }
}
