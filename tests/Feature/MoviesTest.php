<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\Specification;
use Illuminate\Testing\TestResponse;
use PlainLedger\Core\Media\Decoders\GdPixels;
use PlainLedger\Core\Media\Decoders\Movies\PointGrid;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\Feature\Support\LedgerTestCase;

/** The folio of a deliverable's movies: how they are made, and the file itself for a player. */
final class MoviesTest extends LedgerTestCase
{
    private const MOVIE = __DIR__.'/../fixtures/movies/vp9.webm';

    protected function setUp(): void
    {
        parent::setUp();
        Specification::query()->findOrFail($this->deliverable->specification_id)->revise(['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                'picture.resolution' => '64x36', 'naming.pattern' => '{shot}.{frame:4}.{ext}',
            ]],
            ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                'format.kind' => 'webm', 'naming.pattern' => '{shot}.{ext}',
            ]],
        ]], $this->coordinator);
        $this->deliverable->refresh()->keepParts();
        $this->actingAs($this->artist);
    }

    private function check(): Check
    {
        $this->intake->put('tide/TC_010/v1/TC_010.webm', (string) file_get_contents(self::MOVIE));
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->production->intakeRoots()->firstOrFail()->id, 'below' => 'TC_010/v1', 'depth' => 'quick'],
        )->assertSessionHasNoErrors();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    /** @return array<string, mixed> */
    private function folio(): array
    {
        return $this->page("/deliverables/{$this->deliverable->id}/movie");
    }

    public function test_a_recipe_is_there_before_any_movie_is(): void
    {
        $page = $this->folio();
        self::assertSame([['reel'], null, false], [$page['movies'], $page['ledger'], $page['playable']]);
        $values = array_column($page['recipes'][0]['lines'], 'value', 'label');
        self::assertSame(['TC_010.####.png', '1001 to 1010', 'WEBM'], [
            str_replace('.{ext}', '.png', $values['Frames']), $values['First and last'], $values['Format'],
        ]);
        self::assertTrue($page['deliverable']['owesMovie']);
        self::assertNull($page['deliverable']['movie']);
    }

    public function test_it_knows_of_the_frames_that_are_there(): void
    {
        $this->check();
        $page = $this->folio();
        self::assertSame(['4 frames first: 1007-1010 are missing or cannot be used.'], $page['recipes'][0]['notes']);
        self::assertTrue($page['playable']);
        self::assertSame('unequal', $page['deliverable']['movie']);
        self::assertSame('reel', $page['ledger']['document']['movies'][0]['part']);
        $recipe = fn (string $format, string $query = ''): TestResponse => $this->get(
            "/deliverables/{$this->deliverable->id}/recipe.{$format}{$query}",
        );
        self::assertStringContainsString('1001 to 1010', (string) $recipe('txt')->assertOk()->getContent());
        self::assertStringContainsString('-start_number 1001', (string) $recipe('sh')->assertOk()->getContent());
        self::assertSame('plain-ledger/recipe', $recipe('json')->assertOk()->json('format'));
        self::assertSame('Timeline.1', $recipe('otio', '?part=reel')->assertOk()->json('OTIO_SCHEMA'));
        $recipe('txt', '?part=frames')->assertNotFound();
        $recipe('txt', '?part[]=x')->assertOk();
        $recipe('exe')->assertNotFound();
    }

    public function test_all_movies_of_a_production_stand_together(): void
    {
        $all = fn (): array => $this->actingAs($this->coordinator)
            ->page("/productions/{$this->production->id}/movies")['movies'];
        self::assertSame(
            [['TC_010', 'reel', 'frames', null, null], ['TC_020', 'reel', 'frames', null, null]],
            array_map(static fn (array $m): array => [
                $m['code'], $m['part'], $m['from'], $m['mark'], $m['path'],
            ], $all()),
        );
        $this->actingAs($this->artist);
        $this->check();
        $first = $all()[0];
        self::assertSame(['unequal', 'TC_010.webm', filesize(self::MOVIE)], [
            $first['mark'], $first['path'], $first['bytes'],
        ]);
        self::assertSame(['WEBM', 'vp9'], array_slice($first['is'], 0, 2));
    }

    public function test_a_player_is_sent_the_bytes_it_asks_for(): void
    {
        $check = $this->check();
        $bytes = (string) file_get_contents(self::MOVIE);
        $size = strlen($bytes);
        $ask = fn (?string $range): TestResponse => $this->get(
            "/checks/{$check->id}/movies/reel",
            $range === null ? [] : ['Range' => $range],
        );
        foreach ([
            'bytes=0-' => $bytes, 'bytes=10-19' => substr($bytes, 10, 10), 'bytes=-5' => substr($bytes, -5),
            "bytes=5-{$size}" => substr($bytes, 5), 'bytes=0-1,5-6' => $bytes, 'lines=1' => $bytes, '' => $bytes,
        ] as $range => $sent) {
            $reply = $ask($range === '' ? null : $range)->assertStatus(206)->assertHeader('Content-Type', 'video/webm');
            self::assertSame(md5($sent), md5((string) $reply->getContent()), $range);
            self::assertStringEndsWith("/{$size}", (string) $reply->headers->get('Content-Range'));
        }
        $ask("bytes={$size}-")->assertStatus(416)->assertHeader('Content-Range', "bytes */{$size}");
        $this->get("/checks/{$check->id}/movies/frames")->assertNotFound();
        $this->get("/checks/{$check->id}/movies/nothing")->assertNotFound();
        // another file by now is not shown for it
        $this->intake->put('tide/TC_010/v1/TC_010.webm', $bytes.'x', 5);
        $ask(null)->assertNotFound();
        $this->actingAs($this->stranger)->get("/checks/{$check->id}/movies/reel")->assertForbidden();
    }

    public function test_what_a_browser_shows_of_it_is_held_against_its_frames(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $this->deliverable->update(['overrides' => ['time.range' => '1001-1024']]);
        $specification->revise(['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                'naming.pattern' => '{shot}.{frame:4}.{ext}',
            ]],
            ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                'format.kind' => 'webm', 'naming.pattern' => '{shot}.{ext}',
            ]],
        ]], $this->coordinator);
        $this->deliverable->refresh()->keepParts();
        $grids = [];
        foreach (range(0, 23) as $i) {
            $picture = imagecreatetruecolor(64, 36) ?: self::fail('no image');
            imagefilledrectangle($picture, 2 * $i, 5, 2 * $i + 12, 20, 0xE0C040);
            ob_start();
            imagepng($picture);
            $this->intake->put(sprintf('tide/TC_010/v1/TC_010.%04d.png', 1001 + $i), (string) ob_get_clean());
            $grids[$i] = base64_encode(PointGrid::of(GdPixels::of($picture)));
        }
        $check = $this->check();
        $count = $check->account()['movies'][0]['count'] ?? 0;
        self::assertSame(24, $count);
        $send = fn (mixed $pictures): TestResponse => $this->post(
            "/checks/{$check->id}/shown/reel",
            ['pictures' => $pictures],
        );
        foreach ([[], 'x', [99 => $grids[0]], [0 => 'AAAA'], ['a' => $grids[0]], [0 => [1]]] as $wrong) {
            $send($wrong)->assertSessionHasErrors('pictures');
        }
        $told = function (array $pictures) use ($send): array {
            $send($pictures)->assertSessionHasNoErrors();
            $document = $this->deliverable->checks()->latest('id')->firstOrFail()->account();
            $files = array_column($document['entries'] ?? [], 'files', 'id')['content.source'] ?? [];

            return [$document['movies'][0]['against']['through'], $files['mark'], $files['found']];
        };
        self::assertSame(['browser', 'equal', 'yes, as a browser shows it'], $told($grids));
        self::assertSame(
            ['browser', 'equal', 'yes, as a browser shows it'],
            $told(array_intersect_key($grids, [0 => 1, 9 => 1, 23 => 1])),
        );
        self::assertSame(
            ['browser', 'unequal', 'in reverse order, as a browser shows it'],
            $told(array_reverse($grids)),
        );
        // nobody but who may check has it held against anything
        $this->actingAs($this->stranger);
        $send($grids)->assertForbidden();
    }

    public function test_a_picture_of_it_is_drawn_where_its_codec_is_unpacked_here(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $specification->revise(['parts' => [
            ['name' => 'reel', 'delivers' => 'movie', 'require' => ['naming.pattern' => '{shot}.{ext}']],
        ]], $this->coordinator);
        $this->deliverable->refresh()->keepParts();
        $movie = (string) file_get_contents(dirname(self::MOVIE).'/png.mov');
        $this->intake->put('tide/TC_010/v1/TC_010.mov', $movie);
        $this->check();
        unlink("{$this->intake->folder}/tide/TC_010/v1/TC_010.webm");
        $this->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->production->intakeRoots()->firstOrFail()->id, 'below' => 'TC_010/v1', 'depth' => 'quick',
        ]);
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        self::assertSame(['reel'], $this->folio()['drawn']);
        $png = (string) $this->get("/checks/{$check->id}/movies/reel/3")->assertOk()->getContent();
        self::assertSame([64, 36], array_slice(getimagesizefromstring($png) ?: [], 0, 2));
        self::assertNotSame($png, $this->get("/checks/{$check->id}/movies/reel/0")->assertOk()->getContent());
        $this->get("/checks/{$check->id}/movies/reel/9999")->assertNotFound();
    }

    public function test_what_is_only_tagged_otherwise_is_had_as_a_copy(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $specification->revise(['parts' => [
            ['name' => 'reel', 'delivers' => 'movie', 'require' => [
                'naming.pattern' => '{shot}.{ext}', 'time.start_timecode' => '01:00:00:00',
            ]],
        ]], $this->coordinator);
        $this->deliverable->refresh()->keepParts();
        $movie = (string) file_get_contents(dirname(self::MOVIE).'/wide.mov');
        $this->intake->put('tide/TC_010/v1/TC_010.mov', $movie);
        // another file beside it is not taken for it
        $check = $this->check();
        self::assertSame(['reel'], $this->folio()['taggable']);
        $reply = $this->get("/checks/{$check->id}/tagged/reel")->assertOk();
        $sent = $reply->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $sent);
        $copy = (string) file_get_contents($sent->getFile()->getPathname());
        self::assertSame((string) strlen($copy), $reply->headers->get('Content-Length'));
        $facts = Probe::exact()->read(new StringSource($copy));
        self::assertSame('01:00:00:00', $facts->movie?->startTimecode);
        self::assertSame($movie, file_get_contents("{$this->intake->folder}/tide/TC_010/v1/TC_010.mov"));
        $this->get("/checks/{$check->id}/tagged/frames")->assertNotFound();
    }

    public function test_a_movie_whose_rate_alone_is_another_is_had_at_the_right_one(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $had = function (array $require) use ($specification): array {
            $specification->revise(['parts' => [
                ['name' => 'reel', 'delivers' => 'movie', 'require' => $require + ['naming.pattern' => '{shot}.{ext}']],
            ]], $this->coordinator);
            $this->deliverable->refresh()->keepParts();
            $this->deliverable->update(['overrides' => []]);
            $this->check();

            return $this->folio()['taggable'];
        };
        $this->intake->put(
            'tide/TC_010/v1/TC_010.mp4',
            (string) file_get_contents(dirname(self::MOVIE).'/h264.mp4'),
        );
        $kind = ['format.kind' => 'mp4'];
        self::assertSame([], $had($kind + ['time.rate' => '24']));
        self::assertSame(['reel'], $had($kind + ['time.rate' => '25']));
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        $sent = $this->get("/checks/{$check->id}/tagged/reel")->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $sent);
        $facts = Probe::exact()->read(FileSource::open($sent->getFile()->getPathname()));
        self::assertSame('25', (string) $facts->timing->rate);
        // with another count it would not play as it should
        self::assertSame([], $had($kind + ['time.rate' => '25', 'time.count' => 50]));
    }
}
