<?php

declare(strict_types=1);

namespace Tests\Core\Proposal;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Proposal\SpecificationProposal;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;
use Tests\Core\Support\Workbench;

/**
 * What is proposed of any files, those files fulfil, whoever wrote them and however they are named; and a wrong one
 * among them does not.
 */
final class ProposalsTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/encoders/';

    private const ENCODED = [
        'rgb8.png', 'rgba16.png', 'grey8.png', 'palettealpha.png', 'pil-palette.png', 'pil-grey16.png', 'optipng.png',
        'interlaced.png', 'density.png', 'tall-pixels.png', 'profile.png', 'linear-gamma.png',
        'q90-420.jpg', 'q75-444.jpg', 'progressive-422.jpg', 'grey.jpg', 'cmyk.jpg', 'mjpeg.jpg', 'sar-10-11.jpg',
        'exif-cm.jpg', 'restart-422.jpg', 'sample-411.jpg', 'kept-rgb.jpg', 'pil-progressive.jpg',
        'float-none.exr', 'float-rle.exr', 'float-zip1.exr', 'half-zip16.exr', 'half-piz.exr', 'half-rgba.exr',
        'tiled-mipmap.exr', 'tiled-dwaa.exr', 'multipart.exr', 'multiview.exr', 'attributes.exr', 'gbra-float.exr',
    ];

    /** Names by sprintf, with the pattern that is proposed for them (null: whichever, it has only to fit). */
    private const NAMES = [
        'TC_010_light_v003.%04d' => '{shot}_light_v{version:3}.{frame:4}.{ext}',
        'TC_010.%d' => '{shot}.{frame}.{ext}',
        '%05d' => '{frame:5}.{ext}',
        'TC_010-%03d' => '{shot}-{frame:3}.{ext}',
        'tc_010_%04d' => 'tc_010_{frame:4}.{ext}',
        'render %04d' => 'render {frame:4}.{ext}',
        'a.b.c_%04d' => 'a.b.c_{frame:4}.{ext}',
        'x1920x1080_2026-11-24_%04d' => null,
        '100%%_{quay}_%04d' => '100%_{{quay}}_{frame:4}.{ext}',
        'Ölmühle_%04d' => 'Ölmühle_{frame:4}.{ext}',
    ];

    /** @return iterable<string, array{string, string, string|null, string}> */
    public static function deliveries(): iterable
    {
        $ranges = ['1001-1004', '1-3', '-2-2', '1-9x2', '998-1002', '7-9,12'];
        foreach (self::ENCODED as $n => $file) {
            $name = array_keys(self::NAMES)[$n % count(self::NAMES)];
            // frames of differing lengths of number are one sequence only where they are not filled
            $range = $ranges[$n % count($ranges)];
            yield "{$file} as {$name}, {$range}" => [$file, $name, self::NAMES[$name], $range];
        }
        foreach (self::NAMES as $name => $pattern) {
            yield "rgb8.png as {$name}" => ['rgb8.png', $name, $pattern, '1001-1010'];
        }
    }

    /** The sign of a negative frame stands before its digits. */
    private static function path(string $name, int $frame): string
    {
        return $frame < 0
            ? sprintf((string) preg_replace('~%(\d*d)~', '-%$1', $name), -$frame)
            : sprintf($name, $frame);
    }

    private static function filled(string $name, string $range, string $bytes): Workbench
    {
        $bench = new Workbench;
        foreach (FrameRange::parse($range)->numbers() as $frame) {
            $bench->put(self::path($name, $frame), $bytes);
        }

        return $bench;
    }

    #[DataProvider('deliveries')]
    public function test_the_files_fulfil_what_is_proposed_of_them(
        string $file,
        string $name,
        ?string $pattern,
        string $range,
    ): void {
        $extension = pathinfo($file, PATHINFO_EXTENSION);
        $bench = self::filled("out/{$name}.{$extension}", $range, (string) file_get_contents(self::FIXTURES.$file));
        $delivery = $bench->scan();
        $proposal = SpecificationProposal::from($delivery, 'TC_010') ?? self::fail('Nothing is proposed.');
        $draft = Specification::draft(new Layer(SetBy::Specification, $proposal->document, 'files'));
        $part = $draft->specification->parts[0];

        self::assertSame(
            [],
            array_map(static fn (Conflict $q): string => $q->says, Proofreader::standard()->read($draft)),
        );
        self::assertSame((string) FrameRange::parse($range), $part->single('time.range'));
        if (
            $pattern !== null
            && ! (str_contains($name, '%d') && $range !== '98-102')
            && ! (str_contains($name, '%03d') && FrameRange::parse($range)->last() > 999)
        ) {
            self::assertSame($pattern, $part->single('naming.pattern'));
        }
        $account = CheckReport::of($draft->specification, null, $delivery);
        self::assertSame(
            ['balanced', []],
            [$account->check->verdict->value, array_map(static fn ($c): string => $c->finding->says, $account->causes)],
        );

        // written out and read again it asks the same of the same files
        $text = (string) json_encode(SpecificationDocument::of($draft->specification), JSON_UNESCAPED_UNICODE);
        $again = Specification::fromDocument(JsonDocument::parse($text, 'again', Specification::FORMAT));
        self::assertEquals($draft->specification->parts, $again->parts);
        self::assertSame('balanced', CheckReport::of($again, null, $delivery)->check->verdict->value);
    }

    #[DataProvider('deliveries')]
    public function test_one_other_file_among_them_is_noticed(
        string $file,
        string $name,
        ?string $pattern,
        string $range,
    ): void {
        $extension = pathinfo($file, PATHINFO_EXTENSION);
        $bytes = (string) file_get_contents(self::FIXTURES.$file);
        $proposal = SpecificationProposal::from(self::filled("{$name}.{$extension}", $range, $bytes)->scan(), 'TC_010')
            ?? self::fail('Nothing is proposed.');
        $specification = Specification::draft(
            new Layer(SetBy::Specification, $proposal->document, 'files'),
        )->specification;
        $numbers = iterator_to_array(FrameRange::parse($range)->numbers(), false);
        // the second frame is of another size, or is not there, or is broken off
        $other = match ($extension) {
            'png' => Workbench::png(32, 18),
            'jpg' => (string) file_get_contents(self::FIXTURES.($file === 'grey.jpg' ? 'q90-420.jpg' : 'grey.jpg')),
            default => Workbench::exr(32, 18),
        };
        foreach ([
            'another' => $other,
            'missing' => null,
            'broken' => substr($bytes, 0, intdiv(strlen($bytes), 2)),
            'empty' => '',
        ] as $how => $second) {
            $bench = self::filled("{$name}.{$extension}", $range, $bytes);
            $path = self::path("{$name}.{$extension}", $numbers[1]);
            $second === null ? $bench->without($path) : $bench->put($path, $second);
            $account = CheckReport::of($specification, null, $bench->scan());

            self::assertSame('unbalanced', $account->check->verdict->value, $how);
            self::assertSame((string) $numbers[1], $account->toArray()['sequences'][0]['rerender'], $how);
            self::assertNotSame([], $account->causes, $how);
        }
        self::assertNotSame('', (string) $pattern.$name);
    }
}
