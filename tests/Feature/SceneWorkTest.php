<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\CheckAgain;
use App\Actions\Checks\RepeatCheck;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Waiver;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Settings pasted, typed, pointed at and brought by the dozen; lines accepted; work ticked off; what changed since. */
final class SceneWorkTest extends LedgerTestCase
{
    private const GOOD = "size = 64x36\nfps = 24\nframes = 1001-1010\nformat = png\noutput = out/TC_010.####.png\n";

    private function paste(string $text, string $name = 'pasted'): TestResponse
    {
        return $this->from('/x')->post(
            "/deliverables/{$this->deliverable->id}/scene",
            ['pasted' => $text, 'name' => $name],
        );
    }

    private function newest(?Deliverable $of = null): Check
    {
        return ($of ?? $this->deliverable)->checks()->latest('id')->firstOrFail();
    }

    /** @return array<string, string> marks of the scene by id */
    private function marks(?Check $check = null): array
    {
        return array_map(
            static fn (array $e): string => $e['scene']['mark'] ?? '',
            array_column(($check ?? $this->newest())->account()['entries'], null, 'id'),
        );
    }

    public function test_pasted_text_is_checked_and_the_same_once_more_makes_no_second_check(): void
    {
        $this->actingAs($this->artist);
        $this->paste(self::GOOD)
            ->assertSessionHasNoErrors()
            ->assertRedirect("/deliverables/{$this->deliverable->id}/scene");
        self::assertSame('balanced', $this->newest()->verdict?->value);
        self::assertSame(
            ['Picture' => 'equal', 'Time' => 'equal', 'Format' => 'equal', 'Naming' => 'equal'],
            $this->newest()->summary['groups'],
        );
        $this->paste(self::GOOD)->assertSessionHasNoErrors();
        self::assertSame([1, 1], [$this->deliverable->scenes()->count(), $this->deliverable->checks()->count()]);
        // what is asked has changed meanwhile: then it is looked at again
        $this->deliverable->update(['overrides' => ['time.range' => '1001-1012']]);
        $this->paste(self::GOOD);
        self::assertSame([2, 'unbalanced'], [$this->deliverable->checks()->count(), $this->newest()->verdict?->value]);
        $this->paste('  ')->assertSessionHasErrors('settings');
        $this->paste("shot,fps,size\nA,24,64x36\nB,24,64x36\n", 'many.csv')->assertSessionHasErrors(
            ['settings' => 'many.csv: it tells of 2 scenes (A and B), and one is expected here.'],
        );
    }

    public function test_a_scene_is_typed_in(): void
    {
        $this->actingAs($this->artist);
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene/enter");
        self::assertSame(
            [
                'picture.resolution', 'picture.scale', 'time.rate', 'time.range', 'time.step', 'time.extent',
                'time.timeline', 'format.kind', 'naming.pattern',
            ],
            array_column($page['entry']['rows'], 'field'),
        );
        self::assertSame([], $page['entry']['typed']);

        $typed = [
            'picture.resolution' => '1080p',
            'time.rate' => 'quickly',
            'time.range' => '1001 - 1010',
            'format.kind' => 'PNG',
            'naming.pattern' => 'TC_010.%04d.png',
            'no.such' => 'x',
        ];
        $answer = $this->postJson("/deliverables/{$this->deliverable->id}/scene/try", ['typed' => $typed])
            ->assertOk()
            ->json();
        self::assertSame(
            ['unequal', '1920x1080'],
            [$answer['lines']['picture.resolution']['mark'], $answer['lines']['picture.resolution']['found']],
        );
        self::assertSame(
            ['equal', 'equal', 'equal'],
            [
                $answer['lines']['time.range']['mark'],
                $answer['lines']['format.kind']['mark'],
                $answer['lines']['naming.pattern']['mark'],
            ],
        );
        self::assertStringContainsString('quickly', $answer['faults']['time.rate']);
        self::assertSame('1920x1080', $answer['understood']['picture.resolution']);
        self::assertSame('unbalanced', $answer['verdict']);
        self::assertSame(0, $this->deliverable->checks()->count());

        $this->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene/typed",
                [
                    'typed' => [
                        'picture.resolution' => '64x36',
                        'time.rate' => '24',
                        'time.range' => '1001-1010',
                        'format.kind' => 'png',
                        'naming.pattern' => 'TC_010.####.png',
                        'picture.scale' => '',
                        'time.extent' => 'listed',
                    ],
                ],
            )
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        self::assertSame(
            ['balanced', 'typed in'],
            [$this->newest()->verdict?->value, $this->newest()->scene?->file_name],
        );
        // the next time one begins from there
        $again = $this->page("/deliverables/{$this->deliverable->id}/scene/enter")['entry']['typed'];
        self::assertSame(
            ['64x36', '24', 'TC_010.{frame:4}.png'],
            [$again['picture.resolution'], $again['time.rate'], $again['naming.pattern']],
        );
        $this->from('/x')
            ->post("/deliverables/{$this->deliverable->id}/scene/typed", ['typed' => ['time.rate' => ' ']])
            ->assertSessionHasErrors(['settings' => 'Nothing has been typed in yet.']);
    }

    public function test_a_name_is_pointed_at_once_and_understood_from_then_on(): void
    {
        $strange = "Bildgroesse = 64x36\nfps = 24\nframes = 1001-1010\nformat = png\noutput = out/TC_010.####.png\n";
        $this->actingAs($this->artist);
        $this->paste($strange);
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene");
        self::assertSame([['name' => 'Bildgroesse', 'value' => '64x36', 'field' => null]], $page['unknown']);
        self::assertSame('unknown', $this->marks()['picture.resolution']);
        // an artist's pointing holds for this scene alone, even where more is asked for
        $this->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene/names",
                ['name' => 'Bildgroesse', 'is' => 'picture.resolution', 'all' => true],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['equal', [], null],
            [
                $this->marks()['picture.resolution'],
                $this->newest()->account()['not_understood'],
                $this->production->refresh()->field_map,
            ],
        );
        $first = $this->deliverable->checks()->orderBy('id')->firstOrFail();
        self::assertSame('unknown', $this->marks($first)['picture.resolution']);

        $this->actingAs($this->coordinator);
        $this->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene/names",
                ['name' => 'Bildgroesse', 'is' => 'picture.resolution', 'all' => true],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            [['name' => 'Bildgroesse', 'is' => 'picture.resolution']],
            $this->production->refresh()->field_map,
        );
        $this->post("/deliverables/{$this->others->id}/scene", ['pasted' => $strange]);
        self::assertSame('equal', $this->marks($this->newest($this->others))['picture.resolution']);
        $this->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene/names",
                ['name' => 'Bildgroesse', 'is' => 'content.whole'],
            )
            ->assertSessionHasErrors('point');
        // a word for a value
        $this->paste("size = 64x36\nfps = fuenfundzwanzig\n");
        $this->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/scene/names",
                ['name' => 'fps', 'is' => 'time.rate', 'word' => 'fuenfundzwanzig', 'stands' => '25', 'all' => true],
            )
            ->assertSessionHasNoErrors();
        self::assertSame('unequal', $this->marks()['time.rate']);
    }

    public function test_names_are_shared_as_a_file(): void
    {
        $this->actingAs($this->coordinator);
        $base = "/productions/{$this->production->id}";
        $this->from('/x')
            ->patch("{$base}/names", ['name' => 'Massstab', 'is' => 'picture.scale', 'unit' => 'factor'])
            ->assertSessionHasNoErrors();
        $this->from('/x')
            ->patch("{$base}/names", ['name' => 'Blur', 'is' => 'render.motion_blur', 'words' => ['Ja' => 'on']])
            ->assertSessionHasNoErrors();
        $this->from('/x')
            ->patch("{$base}/names", ['name' => 'Bild', 'is' => 'picture.scale', 'unit' => 'kHz'])
            ->assertSessionHasErrors('name');
        $file = $this->get("{$base}/field-map.json")->assertOk()->getContent();
        $this->patch("{$base}/names", ['name' => 'massstab', 'drop' => true]);
        self::assertSame(['Blur'], array_column($this->page("{$base}/names")['names'], 'name'));
        $this->from('/x')
            ->post("{$base}/names", ['map' => UploadedFile::fake()->createWithContent('map.json', (string) $file)])
            ->assertSessionHasNoErrors();
        self::assertSame(['Blur', 'Massstab'], array_column($this->page("{$base}/names")['names'], 'name'));
        $this->from('/x')
            ->post(
                "{$base}/names",
                [
                    'map' => UploadedFile::fake()->createWithContent(
                        'map.json',
                        '{"format": "plain-ledger/field-map", "version": 1, "fields": 5}',
                    ),
                ],
            )
            ->assertSessionHasErrors('map');
        $this->from('/x')->post("{$base}/names")->assertSessionHasErrors('map');
    }

    public function test_many_scenes_find_their_deliverables(): void
    {
        $this->actingAs($this->coordinator);
        $base = "/productions/{$this->production->id}/scenes";
        $zip = new \ZipArchive;
        $path = "{$this->intake->folder}/all.zip";
        $zip->open($path, \ZipArchive::CREATE);
        $zip->addFromString('../../TC_020_light.txt', self::GOOD);
        $zip->addFromString('half.json', '{"format": "plain');
        $zip->close();
        $files = [
            UploadedFile::fake()->createWithContent('tc-010_v3.txt', self::GOOD),
            UploadedFile::fake()->createWithContent('scene.txt', self::GOOD),
            UploadedFile::fake()->createWithContent(
                'sheet.csv',
                "learner,size,fps\nartist,32x18,24\nTC_020,64x36,25\n",
            ),
            new UploadedFile($path, 'all.zip', null, null, true),
        ];
        $read = $this->post("{$base}/read", ['files' => $files], ['Accept' => 'application/json'])->assertOk()->json();
        self::assertSame(
            [
                ['tc-010_v3.txt', $this->deliverable->id],
                ['scene.txt', null],
                ['sheet.csv, line 2', $this->deliverable->id],
                ['sheet.csv, line 3', $this->others->id],
                ['../../TC_020_light.txt', $this->others->id],
            ],
            array_map(static fn (array $s): array => [$s['label'], $s['deliverable']], $read['scenes']),
        );
        self::assertCount(1, $read['refused']);
        self::assertStringStartsWith('half.json: ', $read['refused'][0]);
        self::assertSame(0, Check::query()->count());

        $scenes = array_values(array_filter($read['scenes'], static fn (array $s): bool => $s['deliverable'] !== null));
        $done = $this->postJson(
            $base,
            [
                'scenes' => array_map(
                    static fn (array $s): array => [
                        'deliverable' => $s['deliverable'],
                        'label' => $s['label'],
                        'content' => $s['content'],
                    ],
                    $scenes,
                ),
            ],
        )
            ->assertOk()
            ->json('done');
        self::assertSame(['balanced', 'unbalanced', 'unbalanced', 'unbalanced'], array_column($done, 'verdict'));
        self::assertSame(['TC_010', 'TC_010', 'TC_020', 'TC_020'], array_column($done, 'code'));
        self::assertStringContainsString('32', (string) $done[1]['cause']);
        self::assertSame('sheet.csv, line 2', $this->deliverable->scenes()->latest('id')->firstOrFail()->file_name);
        // another production's deliverable is none of this one
        $elsewhere = ProductionFactory::new()->with($this->coordinator, 'coordinator')->create();
        $this->postJson(
            "/productions/{$elsewhere->id}/scenes",
            ['scenes' => [['deliverable' => $this->deliverable->id, 'label' => 'x', 'content' => self::GOOD]]],
        )->assertStatus(422);
        $this->postJson(
            $base,
            [
                'scenes' => array_fill(
                    0,
                    26,
                    ['deliverable' => $this->deliverable->id, 'label' => 'x', 'content' => self::GOOD],
                ),
            ],
        )->assertStatus(422);
        // an artist brings what is theirs, and is told of no other
        $this->actingAs($this->artist);
        $own = $this->post(
            "{$base}/read",
            [
                'files' => [
                    UploadedFile::fake()->createWithContent('TC_020.txt', self::GOOD),
                    UploadedFile::fake()->createWithContent('TC_010.txt', self::GOOD),
                ],
            ],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->json();
        self::assertSame(
            [[null, $this->deliverable->id], ['TC_010']],
            [array_column($own['scenes'], 'deliverable'), array_column($own['deliverables'], 'code')],
        );
        $before = $this->others->checks()->count();
        $this->postJson(
            $base,
            ['scenes' => [['deliverable' => $this->others->id, 'label' => 'x', 'content' => self::GOOD]]],
        )->assertStatus(422);
        self::assertSame($before, $this->others->checks()->count());
        $torn = $this->postJson(
            $base,
            ['scenes' => [['deliverable' => $this->deliverable->id, 'label' => 'torn.json', 'content' => '{"a"']]],
        )
            ->assertOk()
            ->json('done');
        self::assertStringStartsWith('torn.json: ', $torn[0]['fault']);
    }

    public function test_a_line_is_accepted_with_a_reason_until_its_value_changes(): void
    {
        $this->actingAs($this->artist);
        $this->paste(str_replace('fps = 24', 'fps = 25', self::GOOD));
        $check = $this->newest();
        $this->actingAs($this->coordinator);
        $this->from('/x')
            ->post("/checks/{$check->id}/waivers", ['id' => 'time.rate', 'part' => 'frames', 'reason' => ' '])
            ->assertSessionHasErrors('reason');
        $this->from('/x')
            ->post("/checks/{$check->id}/waivers", ['id' => 'format.kind', 'part' => 'frames', 'reason' => 'why not'])
            ->assertSessionHasErrors(['reason' => 'This line is not unequal, so there is nothing to accept.']);
        $this->from('/x')
            ->post(
                "/checks/{$check->id}/waivers",
                ['id' => 'time.rate', 'part' => 'frames', 'reason' => 'agreed with the hall'],
            )
            ->assertSessionHasNoErrors();
        $waived = $this->newest();
        self::assertSame(
            ['balanced', 'waived', []],
            [$waived->verdict?->value, $this->marks($waived)['time.rate'], $waived->account()['causes']],
        );
        self::assertSame(
            ['reason' => 'agreed with the hall', 'by' => 'Coordinator'],
            array_intersect_key(
                array_column($waived->account()['entries'], null, 'id')['time.rate']['waiver'],
                ['reason' => 1, 'by' => 1],
            ),
        );
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene");
        self::assertSame(
            ['waived', true, 'balances, 1 line accepted'],
            [$page['deliverable']['folios']['scene'], $page['deliverable']['waived'], $page['deliverable']['holdsUp']],
        );
        $this->get("/checks/{$waived->id}/report.txt")->assertOk()->assertSee('agreed with the hall');
        $this->get("/checks/{$check->id}/report.txt")->assertOk()->assertDontSee('agreed with the hall');
        // an older check is not the place
        $this->from('/x')
            ->post("/checks/{$check->id}/waivers", ['id' => 'time.rate', 'part' => 'frames', 'reason' => 'again'])
            ->assertSessionHasErrors('reason');
        // the same value once more: it holds; another: it ends, and stays ended
        $this->paste(str_replace('fps = 24', 'fps = 25.0', self::GOOD));
        self::assertSame('waived', $this->marks()['time.rate']);
        $this->paste(str_replace('fps = 24', 'fps = 30', self::GOOD));
        self::assertSame('unequal', $this->marks()['time.rate']);
        self::assertNotNull(Waiver::query()->firstOrFail()->ended_at);
        $this->paste(str_replace('fps = 24', 'fps = 25', self::GOOD));
        self::assertSame('unequal', $this->marks()['time.rate']);
    }

    public function test_accepted_for_all_of_a_specification_and_taken_back(): void
    {
        $this->actingAs($this->coordinator);
        foreach ([$this->deliverable, $this->others] as $each) {
            $this->post("/deliverables/{$each->id}/scene", ['pasted' => "size = 32x18\nfps = 24\n"]);
        }
        $this->from('/x')
            ->post(
                "/checks/{$this->newest()->id}/waivers",
                ['id' => 'picture.resolution', 'part' => 'frames', 'reason' => 'previews', 'all' => true],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['waived', 'waived'],
            [$this->marks()['picture.resolution'], $this->marks($this->newest($this->others))['picture.resolution']],
        );
        // the one that is looked at is checked at once, all others by the queue
        Queue::fake();
        $waiver = Waiver::query()->firstOrFail();
        $this->from('/x')
            ->delete("/waivers/{$waiver->id}?check={$this->newest($this->others)->id}")
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['waived', 'unequal'],
            [$this->marks()['picture.resolution'], $this->marks($this->newest($this->others))['picture.resolution']],
        );
        Queue::assertPushed(CheckAgain::class, 1);
        (new CheckAgain($this->deliverable->id, $this->coordinator->id))->handle(app(RepeatCheck::class));
        self::assertSame(
            ['unequal', 'unequal'],
            [$this->marks()['picture.resolution'], $this->marks($this->newest($this->others))['picture.resolution']],
        );
    }

    public function test_work_is_ticked_off_and_what_changed_is_told(): void
    {
        $this->actingAs($this->artist);
        $this->paste(
            str_replace(
                ['fps = 24', 'size = 64x36'],
                ['fps = 25', 'size = 64x36\nrender samples = 64\nscale = 50'],
                self::GOOD,
            ),
        );
        $this->paste(
            str_replace(
                '\n',
                "\n",
                str_replace(
                    ['fps = 24', 'size = 64x36'],
                    ['fps = 25', 'size = 64x36\nsamples = 64\nscale = 50'],
                    self::GOOD,
                ),
            ),
        );
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene");
        $fixes = $page['ledger']['document']['fixes'];
        self::assertSame(
            [['picture.scale', false], ['time.rate', false]],
            array_map(static fn (array $f): array => [$f['id'], $f['done']], $fixes),
        );
        $this->post("/deliverables/{$this->deliverable->id}/ticks", ['fix' => $fixes[0]['key'], 'done' => true]);
        self::assertSame(
            [true, false],
            array_column(
                $this->page("/deliverables/{$this->deliverable->id}/scene")['ledger']['document']['fixes'],
                'done',
            ),
        );
        $this->post("/deliverables/{$this->deliverable->id}/ticks", ['fix' => $fixes[0]['key'], 'done' => false]);
        self::assertSame(0, $this->deliverable->ticks()->count());
        $this->post("/deliverables/{$this->deliverable->id}/ticks", ['fix' => $fixes[0]['key'], 'done' => true]);
        // put right; and samples that nobody spoke of are others
        $this->paste(
            str_replace(
                '\n',
                "\n",
                str_replace(['fps = 24', 'size = 64x36'], ['fps = 25', 'size = 64x36\nsamples = 16'], self::GOOD),
            ),
        );
        $since = $this->newest()->account()['since'];
        self::assertSame(
            [['Resolution'], [], [], ['Frame rate']],
            [$since['put_right'], $since['new'], $since['back'], $since['still']],
        );
        self::assertSame(
            [['id' => 'render.samples', 'label' => 'Samples', 'from' => '64', 'to' => '16']],
            $since['unasked'],
        );
        self::assertSame(0, $this->deliverable->ticks()->count());
    }

    public function test_good_files_of_before_are_not_to_be_written_over(): void
    {
        $this->actingAs($this->coordinator);
        $this->deliverable->update(['overrides' => ['time.range' => '1001-1006', 'output.overwrites' => 'no']]);
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        )->assertSessionHasNoErrors();
        $this->paste(str_replace(['1001-1010', 'out/'], ['1001-1006', 'renders/v1/'], self::GOOD));
        $document = $this->newest()->account();
        self::assertSame(['fixed-name-overwrites'], array_column($document['causes'], 'id'));
        self::assertStringContainsString('6 files: 1001-1006', $document['causes'][0]['says']);
        $this->get("/checks/{$this->newest()->id}/report.txt")->assertSee('6 files: 1001-1006');
        $this->paste(str_replace(['1001-1010', 'out/'], ['1001-1006', 'renders/v2/'], self::GOOD));
        self::assertSame('balanced', $this->newest()->verdict?->value);
    }

    public function test_a_scene_of_many_megabytes_comes_piece_by_piece(): void
    {
        Storage::fake();
        $this->actingAs($this->artist);
        $usd = "#usda 1.0\n( framesPerSecond = 24 startTimeCode = 1001 endTimeCode = 1010 )\ndef Mesh \"m\" { "
            .'point3f[] points = ['
            .str_repeat('(1, 2, 3), ', 50_000)
            ."] }\ndef RenderSettings \"r\" { uniform int2 resolution = (64, 36) rel products = </r/p> def "
            ."RenderProduct \"p\" { token productName = \"out/TC_010.####.png\" } }\n";
        $send = fn (string $bytes, int $at, bool $last, string $name = 'TC_010.usda'): TestResponse => $this->post(
            "/deliverables/{$this->deliverable->id}/scene/pieces",
            [
                'piece' => UploadedFile::fake()->createWithContent('piece', $bytes),
                'name' => $name,
                'at' => $at,
                'last' => $last ? '1' : '0',
            ],
            ['Accept' => 'application/json'],
        );
        [$first, $second] = [substr($usd, 0, 300_000), substr($usd, 300_000)];
        self::assertNull($send($first, 0, false)->assertOk()->json('check'));
        $check = $send($second, 300_000, true)->assertOk()->json('check');
        self::assertSame($this->newest()->id, $check);
        self::assertSame(
            ['balanced', 'TC_010.usda, as it was read'],
            [$this->newest()->verdict?->value, $this->newest()->scene?->file_name],
        );
        self::assertLessThan(2_000, strlen((string) $this->newest()->scene?->content));
        self::assertSame([], Storage::allFiles());
        // out of its turn, torn, or of another form
        $send($first, 0, false);
        $send($second, 5, true)->assertStatus(422)->assertJsonPath(
            'message',
            'TC_010.usda: a piece of it did not arrive in its turn; begin it once more.',
        );
        $send($first, 0, true)->assertStatus(422)->assertJsonPath(
            'message',
            fn (string $m): bool => str_contains($m, 'it ends'),
        );
        $send('{"format": "plain-ledger/scene"}', 0, true, 'large.json')->assertStatus(422)->assertJsonPath(
            'message',
            fn (string $m): bool => str_contains($m, 'only a scene as USD text can be that large'),
        );
        $send('#usda', 700_000_000, true)->assertStatus(422);
        self::assertSame([1, []], [$this->deliverable->checks()->count(), Storage::allFiles()]);
    }

    public function test_a_scene_copied_from_another_shot_still_writes_there(): void
    {
        $this->actingAs($this->artist);
        $this->paste(str_replace('TC_010', 'TC_020', self::GOOD));
        self::assertSame('value-of-another', $this->newest()->account()['causes'][0]['id']);
        $this->get("/checks/{$this->newest()->id}/report.txt")->assertSee('value-of-another');
        $this->paste(str_replace('TC_010', 'TC_O10', self::GOOD));
        self::assertSame('value-misspelled', $this->newest()->account()['causes'][0]['id']);
    }

    public function test_the_empty_sheet_says_what_is_asked(): void
    {
        $this->actingAs($this->artist);
        $json = json_decode(
            (string) $this->get("/deliverables/{$this->deliverable->id}/settings.json")->assertOk()->getContent(),
            true,
        );
        self::assertSame(['plain-ledger/scene', null], [$json['format'], $json['settings']['picture.resolution']]);
        $this->get("/deliverables/{$this->deliverable->id}/settings.txt")
            ->assertOk()
            ->assertSee('picture.resolution =');
        $this->get("/deliverables/{$this->deliverable->id}/settings.exe")->assertNotFound();
    }
}
