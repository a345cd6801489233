<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\Sheet\RequirementsCsv;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Report\Sheet\SheetMarkdown;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Preset;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;
use Tests\Core\Support\Workbench;

/** Each beginning that ships: what the standards of the trade say of it, and every form it is handed out in. */
final class PresetsTest extends TestCase
{
    /**
     * By word: size, pixel aspect, rate, and the shape its pixels make on a screen. Of lines and pixels: ITU-R BT.601,
     * BT.709, BT.2020; SMPTE ST 428-1.
     */
    private const STANDARDS = [
        'hd-720' => ['1280x720', '1/1', '24', '16:9'],
        'hd-1080' => ['1920x1080', '1/1', '24', '16:9'],
        'hd-1080-25' => ['1920x1080', '1/1', '25', '16:9'],
        'hd-1080-2997' => ['1920x1080', '1/1', '30000/1001', '16:9'],
        'hd-1080-50' => ['1920x1080', '1/1', '50', '16:9'],
        'uhd-23976' => ['3840x2160', '1/1', '24000/1001', '16:9'],
        'uhd-60' => ['3840x2160', '1/1', '60', '16:9'],
        'sd-525-43' => ['720x480', '10/11', '30000/1001', '4:3'],
        'sd-525-169' => ['720x480', '40/33', '30000/1001', '16:9'],
        'sd-625-43' => ['720x576', '12/11', '25', '4:3'],
        'sd-625-169' => ['720x576', '16/11', '25', '16:9'],
        'dc-2k-flat' => ['1998x1080', '1/1', '24', '1.85'],
        'dc-2k-scope' => ['2048x858', '1/1', '24', '2.39'],
        'dc-4k-flat' => ['3996x2160', '1/1', '24', '1.85'],
        'dc-4k-scope' => ['4096x1716', '1/1', '24', '2.39'],
        'square-1080' => ['1080x1080', '1/1', '30', '1:1'],
        'tall-1080' => ['1080x1920', '1/1', '30', '9:16'],
        'lat-long-4k' => ['4096x2048', '1/1', '30', '2:1'],
        'lat-long-8k' => ['8192x4096', '1/1', '30', '2:1'],
        'movie-720' => ['1280x720', '1/1', '24', '16:9'],
        'movie-1080' => ['1920x1080', '1/1', '24', '16:9'],
        'movie-1080-25' => ['1920x1080', '1/1', '25', '16:9'],
        'movie-tall' => ['1080x1920', '1/1', '30', '9:16'],
        'movie-uhd-5994' => ['3840x2160', '1/1', '60000/1001', '16:9'],
        'still-a4' => ['2480x3508', null, null, null],
        'still-hd' => ['1920x1080', null, null, null],
        'course-frames' => ['1280x720', '1/1', '24', null],
    ];

    /** @return iterable<string, array{string}> */
    public static function words(): iterable
    {
        foreach (Preset::shipped() as $preset) {
            yield $preset->word => [$preset->word];
        }
    }

    private static function specification(string $word): Specification
    {
        $document = (Preset::find($word) ?? self::fail($word))->document;

        return Specification::fromDocument(
            JsonDocument::parse(
                (string) json_encode(
                    $document + [
                        'format' => Specification::FORMAT,
                        'version' => 1,
                        'values' => ['shot' => 'TC_010', 'version' => 3, 'learner' => 'ada'],
                    ],
                ),
                $word,
                Specification::FORMAT,
            ),
        );
    }

    public function test_each_stands_here(): void
    {
        self::assertSame(array_keys(self::STANDARDS), array_keys(iterator_to_array(self::words())));
    }

    #[DataProvider('words')]
    public function test_it_asks_what_the_standard_says(string $word): void
    {
        $part = self::specification($word)->parts[0];

        self::assertSame(
            self::STANDARDS[$word],
            [
                $part->single('picture.resolution'),
                $part->single('picture.pixel_aspect'),
                $part->single('time.rate'),
                $part->single('picture.display_aspect'),
            ],
        );
    }

    #[DataProvider('words')]
    public function test_a_scene_set_to_it_balances_and_one_at_half_size_does_not(string $word): void
    {
        [$size, $pixels, $rate] = self::STANDARDS[$word];
        $settings = array_filter(
            ['picture.resolution' => $size, 'picture.pixel_aspect' => $pixels, 'time.rate' => $rate],
            is_string(...),
        );
        $only = static fn (array $document): array => array_column(
            array_filter(
                $document['entries'],
                static fn (array $e): bool => in_array(
                    $e['id'],
                    ['picture.resolution', 'picture.pixel_aspect', 'picture.display_aspect', 'time.rate'],
                    true,
                ),
            ),
            'mark',
        );

        $whole = CheckReport::of(self::specification($word), Workbench::scene($settings), null)->toArray();
        self::assertSame(['equal'], array_values(array_unique($only($whole))), $word);
        self::assertSame([], $whole['causes']);

        $half = CheckReport::of(
            self::specification($word),
            Workbench::scene($settings + ['picture.scale' => 50]),
            null,
        )->toArray();
        self::assertContains('unequal', $only($half));
        self::assertSame('scale-below-full', $half['causes'][0]['id']);
    }

    #[DataProvider('words')]
    public function test_it_is_handed_out_in_every_form(string $word): void
    {
        $specification = self::specification($word);
        $text = (new SheetText)->write($specification);
        $markdown = (new SheetMarkdown)->write($specification);
        $html = (new SheetHtml)->write($specification);
        [$width, $height] = explode('x', self::STANDARDS[$word][0]);
        foreach ([$text, $markdown, $html] as $sheet) {
            self::assertStringContainsString("{$width} × {$height}", $sheet);
        }
        self::assertStringContainsString("({$width}, {$height})", (new SheetUsda)->write($specification));
        foreach ($specification->parts as $part) {
            foreach ($part->requirements as $requirement) {
                self::assertStringContainsString($requirement->sentence(), $text);
            }
            foreach (Consequences::of($specification, $part)->names->sets ?? [] as $set) {
                // the one in the middle stands for an ellipsis
                foreach ([$set['names'][0], $set['names'][count($set['names']) - 1]] as $name) {
                    self::assertStringContainsString($name, $text);
                    self::assertDoesNotMatchRegularExpression('~[{}]~', $name);
                }
            }
        }
        $rows = substr_count((new RequirementsCsv)->write($specification), "\r\n");
        self::assertSame(
            1 + array_sum(array_map(static fn ($p): int => count($p->requirements), $specification->parts)),
            $rows,
        );
    }

    #[DataProvider('words')]
    public function test_its_document_is_the_same_when_read_again(string $word): void
    {
        $first = self::specification($word);
        $text = (string) json_encode(SpecificationDocument::of($first));
        $again = Specification::fromDocument(JsonDocument::parse($text, 'again', Specification::FORMAT));

        self::assertEquals($first->parts, $again->parts);
        self::assertSame($text, (string) json_encode(SpecificationDocument::of($again)));
    }
}
