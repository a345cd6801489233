<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** Scenes brought in the form somebody could get them in. */
final class ScenesTest extends LedgerTestCase
{
    private function drop(string $name, string $content): TestResponse
    {
        return $this->actingAs($this->artist)
            ->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene",
                ['settings' => UploadedFile::fake()->createWithContent($name, $content)],
            );
    }

    /** @return iterable<string, array{string, string}> */
    public static function forms(): iterable
    {
        yield 'a document' => [
            'scene.json',
            (string) json_encode(
                [
                    'format' => 'plain-ledger/scene',
                    'version' => 1,
                    'scene' => ['file' => 'TC_010'],
                    'settings' => [
                        'picture.resolution' => '32x18',
                        'time.rate' => 24,
                        'time.range' => '1001-1010',
                        'format.kind' => 'png',
                        'naming.pattern' => 'TC_010.####.png',
                        'mood' => 'grey',
                    ],
                ],
            ),
        ];
        yield 'lines of text' => [
            'scene.txt',
            "width = 32\nheight = 18\nfps = 24\nstart = 1001\nend = 1010\noutput = TC_010.####.png\nmood = grey\n",
        ];
        yield 'lines from a German office' => [
            'scene.ini',
            mb_convert_encoding(
                "; für die Mühle\r\n[render]\r\nsize=32x18\r\nfps=24\r\nframes=1001-1010\r\n[output]\r\n"
                    ."path=TC_010.####.png\r\n[weather]\r\nmood=grey\r\n",
                'Windows-1252',
                'UTF-8',
            ),
        ];
        yield 'USD text' => [
            'scene.usda',
            "#usda 1.0\n(\n    framesPerSecond = 24\n    startTimeCode = 1001\n    endTimeCode = 1010\n)\ndef "
                ."RenderSettings \"r\" {\n    uniform int2 resolution = (32, 18)\n    rel products = </r/p>\n    "
                ."def RenderProduct \"p\" { token productName = \"TC_010.####.png\" }\n}\n",
        ];
    }

    #[DataProvider('forms')]
    public function test_the_same_scene_comes_to_the_same(string $name, string $content): void
    {
        $this->drop($name, $content)
            ->assertSessionHasNoErrors()
            ->assertRedirect("/deliverables/{$this->deliverable->id}/scene");
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        $document = $check->account();
        $marks = array_map(
            static fn (array $e): string => $e['scene']['mark'],
            array_filter(
                array_column($document['entries'], null, 'id'),
                static fn (array $e): bool => isset($e['scene']),
            ),
        );

        self::assertSame(
            [
                'picture.resolution' => 'unequal',
                'time.rate' => 'equal',
                'time.range' => 'equal',
                'format.kind' => 'equal',
                'naming.pattern' => 'equal',
            ],
            array_intersect_key(
                $marks,
                array_flip(['picture.resolution', 'time.rate', 'time.range', 'format.kind', 'naming.pattern']),
            ),
        );
        self::assertSame(
            [['value-differs', ['picture.resolution']]],
            array_map(static fn (array $c): array => [$c['id'], $c['explains']], $document['causes']),
        );
        self::assertCount($name === 'scene.usda' ? 0 : 1, preg_grep('~\bmood$~', $document['not_understood']) ?: []);
        $this->get("/deliverables/{$this->deliverable->id}/scene")->assertOk()->assertSee($name);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function refused(): iterable
    {
        yield 'prose' => ['scene.txt', 'Dear all, the frames are ready.', 'no setting in it is known'];
        yield 'binary USD' => ['scene.usd', "PXR-USDC\0\0\0\0", 'binary form'];
        yield 'an archive' => ['scene.usdz', "PK\x03\x04rest", 'binary form'];
        yield 'a picture' => ['scene.png', "\x89PNG\r\n\x1a\n\0\0\0\rIHDR", 'no text'];
        yield 'half of a scene' => ['scene.usda', "#usda 1.0\ndef Camera \"c\" {", 'it ends'];
        yield 'JSON in name only' => ['scene.json', 'fps = 24', 'line 1'];
    }

    #[DataProvider('refused')]
    public function test_what_is_none_is_refused_and_nothing_is_kept(string $name, string $content, string $says): void
    {
        $this->drop($name, $content)->assertSessionHasErrors('settings');
        self::assertStringContainsString($says, (string) session('errors')?->first('settings'));
        self::assertSame([0, 0], [$this->deliverable->scenes()->count(), $this->deliverable->checks()->count()]);
    }
}
