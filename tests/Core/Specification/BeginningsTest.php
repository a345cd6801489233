<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Proposal\SpecificationProposal;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Preset;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** Where a specification begins: a preset, or files that are right. */
final class BeginningsTest extends TestCase
{
    public function test_no_preset_contradicts_itself(): void
    {
        $words = [];
        foreach (Preset::shipped() as $preset) {
            $draft = Specification::draft(new Layer(SetBy::Specification, $preset->document, $preset->word));
            self::assertSame(
                [],
                array_map(static fn (Conflict $q): string => $q->says, Proofreader::standard()->read($draft)),
                $preset->word,
            );
            self::assertSame([], $draft->specification->notUnderstood);
            self::assertSame($preset, Preset::find($preset->word) == $preset ? $preset : null);
            $words[] = $preset->word;
        }
        self::assertSame($words, array_unique($words));
        self::assertNull(Preset::find('no such'));
    }

    public function test_the_usual_sizes_are_there(): void
    {
        $sizes = [];
        foreach (Preset::shipped() as $preset) {
            $part = Specification::draft(
                new Layer(SetBy::Specification, $preset->document, ''),
            )->specification->parts[0];
            $sizes[] = $part->single('picture.resolution');
        }
        foreach ([
            '1280x720', '1920x1080', '3840x2160', '1998x1080', '2048x858', '3996x2160', '4096x1716', '720x480',
            '720x576', '1080x1080', '1080x1920', '4096x2048', '8192x4096',
        ] as $size) {
            self::assertContains($size, $sizes);
        }
    }

    /**
     * @return iterable<string, array{\Closure(Workbench): mixed, array<string, mixed>, string|null}> what is there,
     *   what is proposed, the shot
     */
    public static function deliveries(): iterable
    {
        yield 'frames' => [
            static fn (Workbench $b): mixed => $b->frames('TC_010_v003.%04d.png', '1001-1010', Workbench::png()),
            [
                'picture.resolution' => '64x36',
                'picture.pixel_aspect' => '1/1',
                'time.range' => '1001-1010',
                'format.kind' => 'png',
                'format.bit_depth' => 8,
                'format.sample' => 'uint',
                'format.channels' => 'RGB',
                'format.compression' => 'deflate',
                'naming.pattern' => '{shot}_v{version:3}.{frame:4}.{ext}',
                'content.whole' => 'yes',
            ],
            'TC_010',
        ];
        yield 'passes in a folder' => [
            static fn (Workbench $b): mixed => $b->frames(
                'out/quay_beauty_%03d.exr',
                '1-4',
                Workbench::exr(rate: [24, 1]),
            )->frames('out/quay_mist_%03d.exr', '1-4', Workbench::exr(rate: [24, 1])),
            [
                'time.rate' => '24',
                'time.range' => '1-4',
                'passes' => ['beauty', 'mist'],
                'naming.pattern' => 'quay_{pass}_{frame:3}.{ext}',
                'naming.folder' => 'out',
                'format.kind' => 'exr',
                'picture.region' => 'full',
                'format.sample' => 'float',
            ],
            null,
        ];
        yield 'passes as layers of every file' => [
            static fn (Workbench $b): mixed => $b->frames(
                'quay.%04d.exr',
                '1-4',
                Workbench::exr(channels: ['R', 'G', 'B', 'A', 'mist.Y', 'shadow.Y']),
            ),
            [
                'passes' => ['beauty', 'mist', 'shadow'],
                'format.channels' => 'RGBA',
                'naming.pattern' => 'quay.{frame:4}.{ext}',
            ],
            null,
        ];
        yield 'frames that differ in depth' => [
            static fn (Workbench $b): mixed => $b->frames('a.%02d.png', '1-4', Workbench::png())->frames(
                'a.%02d.png',
                '3-4',
                Workbench::png(bits: 16),
            ),
            ['naming.pattern' => 'a.{frame:2}.{ext}', 'picture.resolution' => '64x36', 'format.bit_depth' => null],
            null,
        ];
        yield 'a still' => [
            static fn (Workbench $b): mixed => $b->put('poster.png', Workbench::png(channels: 'RGBA')),
            ['naming.pattern' => 'poster.{ext}', 'format.channels' => 'RGBA', 'time.range' => null],
            null,
        ];
        yield 'an extension spelled in full' => [
            static fn (Workbench $b): mixed => $b->frames(
                'a.%04d.jpeg',
                '1-3',
                (string) file_get_contents(__DIR__.'/../../fixtures/encoders/q90-420.jpg'),
            ),
            ['naming.pattern' => 'a.{frame:4}.jpeg', 'format.chroma' => '4:2:0'],
            null,
        ];
        yield 'braces in a name' => [
            static fn (Workbench $b): mixed => $b->frames('{a}.%04d.png', '1-3', Workbench::png()),
            ['naming.pattern' => '{{a}}.{frame:4}.{ext}'],
            null,
        ];
        yield 'numbers without filling' => [
            static fn (Workbench $b): mixed => $b->frames('a_%d.png', '8-12', Workbench::png()),
            ['naming.pattern' => 'a_{frame}.{ext}', 'time.range' => '8-12'],
            null,
        ];
        yield 'one damaged' => [
            static fn (Workbench $b): mixed => $b->frames('a_%04d.png', '1-3', Workbench::png())->put(
                'a_0002.png',
                substr(Workbench::png(), 0, 60),
            ),
            [
                'naming.pattern' => 'a_{frame:4}.{ext}',
                'picture.resolution' => '64x36',
                'content.whole' => null,
                'time.range' => '1-3',
            ],
            null,
        ];
    }

    /**
     * @param  \Closure(Workbench): mixed  $fill
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('deliveries')]
    public function test_files_propose_what_they_fulfil(\Closure $fill, array $expected, ?string $shot): void
    {
        $bench = new Workbench;
        $fill($bench);
        $delivery = $bench->scan();
        $proposal = SpecificationProposal::from($delivery, $shot) ?? self::fail('Nothing is proposed.');
        $require = $proposal->document['require'] ?? [];
        foreach ($expected as $id => $value) {
            self::assertSame($value, $require[$id] ?? null, $id);
        }
        $draft = Specification::draft(new Layer(SetBy::Specification, $proposal->document, 'files'));
        self::assertSame(
            [],
            array_map(static fn (Conflict $q): string => $q->says, Proofreader::standard()->read($draft)),
        );
        $account = CheckReport::of($draft->specification, null, $delivery);
        self::assertSame([], array_map(static fn ($c): string => $c->finding->says, $account->causes));
        self::assertSame('balanced', $account->check->verdict->value);
    }

    public function test_several_parts(): void
    {
        $bench = (new Workbench)->frames('v/ada_vane_%04d.png', '1-6', Workbench::png())
            ->put('ada_vane.mp4', (string) file_get_contents(__DIR__.'/../../fixtures/encoders/other.mp4'))
            ->put('notes.txt', 'x');
        $parts = SpecificationProposal::from($bench->scan())?->document['parts'] ?? [];

        self::assertSame(
            [['frames', 'ada_vane_{frame:4}.{ext}'], ['movie', 'ada_vane.{ext}']],
            array_map(static fn (array $p): array => [$p['delivers'], $p['require']['naming.pattern']], $parts),
        );
    }

    public function test_nothing_to_propose_from(): void
    {
        self::assertNull(SpecificationProposal::from((new Workbench)->put('notes.txt', 'x')->scan()));
    }
}
