<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\CheckFolder;
use App\Actions\Checks\ScanSlice;
use App\Intake\IntakeFolder;
use App\Models\Production;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use PlainLedger\Core\Media\ScanDepth;
use Tests\Feature\Support\LedgerTestCase;

/** Inputs that once broke a page, a batch or another's work. */
final class HostileInputsTest extends LedgerTestCase
{
    public function test_names_that_are_numbers_are_names(): void
    {
        $document = [
            'format' => 'plain-ledger/specification',
            'version' => 1,
            'values' => ['5' => 'x'],
            'require' => ['7' => 'y', 'time.range' => '1-3'],
            'parts' => [['name' => '5', 'delivers' => 'frames', 'require' => ['9' => 'z', 'passes' => ['1', '2']]]],
        ];
        $file = UploadedFile::fake()->createWithContent('spec.json', (string) json_encode($document));
        $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/deliverables",
                ['code' => 'TC_300', 'begin' => 'document', 'document' => $file, 'newTitle' => 'Numbers'],
            )
            ->assertSessionHasNoErrors();
        $made = $this->production->deliverables()->where('code', 'TC_300')->firstOrFail();
        foreach (['specification', 'scene', 'frames', 'hand-out', 'render'] as $folio) {
            $this->get("/deliverables/{$made->id}/{$folio}")->assertOk();
        }
        foreach ([
            '{"5": "x", "resolution": "64x36"}',
            '{"format":"plain-ledger/scene","version":1,"settings":{"5":"x","time.range":"1-3"},'
                .'"passes":[{"name":"5","saved":true}]}',
            "5 = x\nresolution = 64x36\n",
        ] as $settings) {
            $this->post("/deliverables/{$made->id}/scene", ['pasted' => $settings])->assertSessionHasNoErrors();
            $this->get("/deliverables/{$made->id}/scene")->assertOk();
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function beyond(): iterable
    {
        yield 'a large number' => ['picture.pixel_aspect', '99999999999999999999999'];
        yield 'a small one' => ['other.x', '0.000000000000000000001'];
        yield 'a rate' => ['time.rate', '1/99999999999999999999'];
        yield 'a shape' => ['picture.display_aspect', '99999999999999999999999'];
        yield 'an exposure' => ['colour.exposure', '1e-21'];
    }

    #[DataProvider('beyond')]
    public function test_numbers_beyond_reckoning_are_refused_when_written_and_harmless_where_they_stand(
        string $id,
        string $value,
    ): void {
        $this->actingAs($this->coordinator);
        if ($id !== 'other.x') {
            $this->from('/x')
                ->patch(
                    "/deliverables/{$this->deliverable->id}/requirements",
                    ['id' => $id, 'value' => $value, 'level' => 'must', 'scope' => 'deliverable'],
                )
                ->assertSessionHasErrors('value');
            self::assertMatchesRegularExpression(
                '~from 0\.000000001 to 1,000,000,000,000,000|at most 15 digits~',
                (string) session('errors')->first('value'),
            );
        }
        // written before anybody refused it
        $this->deliverable->update(['overrides' => [$id => $value, 'time.range' => '1-3']]);
        foreach (['specification', 'scene', 'frames', 'hand-out', 'render'] as $folio) {
            $this->get("/deliverables/{$this->deliverable->id}/{$folio}")->assertOk();
        }
        foreach (['specifications', 'list', 'together', 'render', ''] as $page) {
            $this->get("/productions/{$this->production->id}/{$page}")->assertOk();
        }
    }

    public function test_no_b_frames_at_all_may_be_written_as_bounds(): void
    {
        $this->actingAs($this->coordinator)
            ->patch(
                "/deliverables/{$this->deliverable->id}/requirements",
                ['id' => 'format.b_frames', 'value' => '0-0', 'level' => 'must', 'scope' => 'deliverable'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame('none', $this->deliverable->refresh()->overrides['format.b_frames']);
    }

    public function test_ids_larger_than_any_are_not_found(): void
    {
        $this->actingAs($this->coordinator);
        foreach ([
            '/deliverables/99999999999999999999999/frames',
            '/productions/99999999999999999999',
            '/checks/9223372036854775808',
            '/deliverables/-1/frames',
            '/sheets/99999999999999999999999',
            '/specifications/1e3',
        ] as $address) {
            $this->get($address)->assertNotFound();
        }
        $this->delete('/tokens/99999999999999999999999')->assertNotFound();
        $this->post('/changes/99999999999999999999999/undo')->assertNotFound();
    }

    public function test_what_is_unknown_cannot_be_dropped(): void
    {
        $this->actingAs($this->coordinator)->from('/x');
        $drop = ['id' => 'no.such', 'level' => 'must', 'drop' => true];
        $this->patch(
            "/deliverables/{$this->deliverable->id}/requirements",
            $drop + ['scope' => 'deliverable'],
        )->assertSessionHasErrors('value');
        $this->patch("/productions/{$this->production->id}/house", $drop)->assertSessionHasErrors('value');
        $this->post(
            "/productions/{$this->production->id}/together",
            $drop + ['deliverables' => [$this->deliverable->id]],
        )->assertSessionHasErrors('value');
        self::assertSame(['time.range' => '1001-1010'], $this->deliverable->refresh()->overrides);
    }

    public function test_one_bad_scene_spares_the_others(): void
    {
        $scene = static fn (int $deliverable, string $content): array => [
            'deliverable' => $deliverable,
            'label' => 'a.txt',
            'content' => $content,
        ];
        $done = $this->actingAs($this->coordinator)->postJson(
            "/productions/{$this->production->id}/scenes",
            ['scenes' => [
                $scene($this->deliverable->id, 'resolution = 64x36'),
                $scene(999_999, 'resolution = 64x36'),
                $scene($this->others->id, '{"torn'),
                $scene($this->others->id, 'resolution = 32x18'),
            ]],
        )->assertOk()->json('done');

        self::assertSame(
            [false, true, true, false],
            array_map(static fn (array $d): bool => $d['fault'] !== null, $done),
        );
        self::assertSame(1, $this->others->scenes()->count());
    }

    public function test_more_files_than_the_server_takes_are_told(): void
    {
        $most = (int) ini_get('max_file_uploads');
        $files = array_map(
            static fn (int $n): UploadedFile => UploadedFile::fake()->createWithContent(
                "{$n}.txt",
                'resolution = 64x36',
            ),
            range(1, $most),
        );
        $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/scenes/read",
                ['files' => $files],
                ['Accept' => 'application/json'],
            )
            ->assertUnprocessable()
            ->assertJsonValidationErrors('files');
        array_pop($files);
        $this->post(
            "/productions/{$this->production->id}/scenes/read",
            ['files' => $files],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->assertJsonCount($most - 1, 'scenes');
    }

    public function test_archives_share_one_limit(): void
    {
        $zip = tempnam(sys_get_temp_dir(), 'zip');
        $archive = new \ZipArchive;
        $archive->open((string) $zip, \ZipArchive::OVERWRITE);
        foreach (range(1, 1_200) as $n) {
            $archive->addFromString("{$n}.bin", "\0\0");
        }
        $archive->close();
        $file = static fn (): UploadedFile => new UploadedFile((string) $zip, 'scenes.zip', test: true);
        $refused = $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/scenes/read",
                ['files' => [$file(), $file()]],
                ['Accept' => 'application/json'],
            )
            ->assertOk()
            ->json('refused');
        unlink((string) $zip);

        self::assertStringContainsString('1.bin', $refused[0]);
        // 1,200 of the first, 800 of the second, and one sentence
        self::assertSame(200, count($refused));
    }

    public function test_a_pattern_that_uses_up_its_budget_is_switched_off(): void
    {
        $sample = implode("\n", array_fill(0, 200, str_repeat('a1 ', 1300)));
        $began = microtime(true);
        $told = $this->actingAs($this->coordinator)
            ->postJson(
                "/productions/{$this->production->id}/log-shapes/try",
                [
                    'patterns' => [
                        ['event' => 'finished', 'pattern' => '/(?:\w+\s?){1,4}x(?<frame>\d+)/'],
                        ['event' => 'finished', 'pattern' => 'frame {frame}'],
                    ],
                    'sample' => mb_substr($sample, 0, 100_000),
                ],
            )
            ->assertOk()
            ->json('faults');

        self::assertArrayHasKey(0, $told);
        self::assertArrayNotHasKey(1, $told);
        self::assertLessThan(10, microtime(true) - $began);
    }

    public function test_two_who_change_names_and_shapes_at_once_both_keep_theirs(): void
    {
        // each request reads the production before the other writes; what they write is laid over what stands then
        [$first, $second] = [
            Production::query()->findOrFail($this->production->id),
            Production::query()->findOrFail($this->production->id),
        ];
        $second->update(
            [
                'log_shapes' => [
                    ['name' => 'theirs', 'patterns' => [['event' => 'finished', 'pattern' => 'done {frame}']]],
                ],
            ],
        );
        $this->app->bind(Production::class, static fn (): Production => $first);
        $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/log-shapes",
                ['name' => 'ours', 'patterns' => [['event' => 'finished', 'pattern' => 'ready {frame}']]],
            )
            ->assertSessionHasNoErrors();

        self::assertSame(
            ['theirs', 'ours'],
            array_column(Production::query()->findOrFail($this->production->id)->log_shapes ?? [], 'name'),
        );
        $first->alone(static fn (Production $now) => self::assertCount(2, $now->log_shapes ?? []));
    }

    public function test_a_pool_another_changed_meanwhile_is_not_written_over(): void
    {
        $this->actingAs($this->coordinator)->from('/x');
        $keep = fn (int $machines, int $was) => $this->patch(
            "/productions/{$this->production->id}/pool",
            ['machines' => $machines, 'hours' => '', 'was' => ['machines' => $was, 'hours' => '']],
        );
        $keep(5, 1)->assertSessionHasNoErrors();
        $keep(7, 1)->assertSessionHasErrors(
            [
                'machines' => 'Somebody has changed this meanwhile, to 5. Theirs stands; keep yours once more to '
                    .'change it.',
            ],
        );
        self::assertSame(5, $this->production->refresh()->pool['machines'] ?? null);
        $keep(7, 5)->assertSessionHasNoErrors();
    }

    public function test_several_checks_of_the_same_files_are_one(): void
    {
        Queue::fake();
        config(['ledger.files_at_once' => 0]);
        $check = fn (string $depth = 'quick') => $this->actingAs($this->artist)
            ->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => $depth],
            );
        foreach (range(1, 5) as $_) {
            $check()->assertSessionHasNoErrors();
        }
        $check('full')->assertSessionHasErrors(
            ['below' => 'A check of this deliverable is under way; wait for it or stop it.'],
        );

        self::assertSame(1, $this->deliverable->checks()->count());
        Queue::assertPushed(ScanSlice::class, 1);
        $folder = IntakeFolder::open(
            $this->production->intakeRoots()->firstOrFail(),
            'TC_010/v1',
            $this->deliverable,
            false,
        );
        self::assertSame(
            $this->deliverable->checks()->firstOrFail()->id,
            app(CheckFolder::class)->run($this->deliverable, $folder, ScanDepth::Quick, $this->artist)->id,
        );
    }
}
