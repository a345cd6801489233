<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Deliverables from lists, timelines and rosters; many changed together; where a specification begins. */
final class ManyAtOnceTest extends LedgerTestCase
{
    private const CSV = "Shot,Title,Frames,Handles,Version,Owner,Due\nTC_010,a "
        ."shot,1001-1012,8,3,artist,\nTC_050,fog bank,1001-1040,,,other,2027-01-05\nTC_060,dome,9-1,,,,\n";

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function read(array $data): array
    {
        return (array) $this->actingAs($this->coordinator)
            ->postJson(
                "/productions/{$this->production->id}/list/read",
                $data + ['specification' => $this->deliverable->specification_id],
            )
            ->assertOk()
            ->json();
    }

    /** @param  array<string, mixed>  $data */
    private function write(array $data): TestResponse
    {
        return $this->actingAs($this->coordinator)
            ->from('/x')
            ->post(
                "/productions/{$this->production->id}/list",
                $data + ['specification' => $this->deliverable->specification_id],
            );
    }

    public function test_a_list_is_looked_at_agreed_to_and_written(): void
    {
        $plan = $this->read(['text' => self::CSV, 'name' => 'shots.csv']);
        self::assertSame(['make' => 1, 'change' => 1, 'same' => 0, 'refuse' => 1], $plan['counts']);
        self::assertSame(['refuse', 'change', 'make'], array_column($plan['rows'], 'does'));
        self::assertSame(['code', 'title', 'range', 'handles', 'version', 'owner', 'due'], $plan['columns']);
        self::assertSame(2, Deliverable::query()->count());

        $this->write(['text' => self::CSV, 'seal' => 'of something else'])->assertSessionHasErrors('file');
        $this->write(['text' => self::CSV, 'seal' => $plan['seal']])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('told', '1 deliverable made, 1 changed. 1 row left out.');
        $made = Deliverable::query()->where('code', 'TC_050')->firstOrFail();
        self::assertSame(
            [$this->other->id, ['time.range' => '1001-1040'], '2027-01-05 23:59'],
            [$made->owner_id, $made->overrides, $made->due_at?->format('Y-m-d H:i')],
        );
        self::assertSame(['frames'], $made->parts()->pluck('name')->all());
        $changed = $this->deliverable->fresh();
        self::assertSame(
            ['1001-1012', ['head' => 8, 'tail' => 8]],
            [
                $changed?->resolved()->parts[0]->single('time.range'),
                [
                    'head' => $changed?->resolved()->parts[0]->handles()[0],
                    'tail' => $changed?->resolved()->parts[0]->handles()[1],
                ],
            ],
        );
        self::assertSame(['version' => '3'], $changed?->values);

        $again = $this->read(['text' => "shot,frames\nTC_010,1001-1012\nTC_050,1001-1040\n"]);
        self::assertSame(2, $again['counts']['same']);
    }

    public function test_columns_are_corrected(): void
    {
        $csv = "Shot,Mood,Extra\nTC_070,foggy,1-5\n";
        self::assertSame(['code', null, null], $this->read(['text' => $csv])['columns']);
        $plan = $this->read(['text' => $csv, 'columns' => json_encode(['code', 'value:mood', 'range'])]);
        self::assertSame(
            [['mood' => 'foggy'], ['time.range' => '1-5']],
            [$plan['rows'][0]['values'], $plan['rows'][0]['asks']],
        );
        $this->postJson(
            "/productions/{$this->production->id}/list/read",
            [
                'specification' => $this->deliverable->specification_id,
                'text' => $csv,
                'columns' => json_encode(['code', 'no such', '']),
            ],
        )->assertUnprocessable();
    }

    public function test_cells_of_a_spreadsheet_and_files(): void
    {
        $cells = json_encode([['Shot', 'First', 'Last', null], ['TC_080', 1001, 1010, '=1+1']]);
        self::assertSame(
            '1001-1010',
            $this->read(['cells' => $cells, 'name' => 'shots.xlsx'])['rows'][0]['asks']['time.range'],
        );
        $file = UploadedFile::fake()->createWithContent(
            'shots.csv',
            mb_convert_encoding("Shot,Title\nTC_080,Nebelbänke\n", 'UTF-16LE', 'UTF-8'),
        );
        $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/list/read",
                ['specification' => $this->deliverable->specification_id, 'file' => $file],
                ['Accept' => 'application/json'],
            )
            ->assertUnprocessable();
        $file = UploadedFile::fake()->createWithContent(
            'shots.csv',
            "\xFF\xFE".mb_convert_encoding("Shot,Title\nTC_080,Nebelbänke\n", 'UTF-16LE', 'UTF-8'),
        );
        $this->post(
            "/productions/{$this->production->id}/list/read",
            ['specification' => $this->deliverable->specification_id, 'file' => $file],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->assertJsonPath('rows.0.title', 'Nebelbänke');
        foreach ([
            "nothing,known\n1,2\n",
            '',
            '{"a": 1}',
            "PK\x03\x04",
            "shot\n".implode("\n", range(1, 20_000)),
        ] as $text) {
            $this->postJson(
                "/productions/{$this->production->id}/list/read",
                ['specification' => $this->deliverable->specification_id, 'text' => $text],
            )->assertUnprocessable();
        }
    }

    public function test_a_roster_makes_one_for_each_learner(): void
    {
        $plan = $this->read(['learners' => 'artist, other nobody', 'code' => 'vane_{learner}']);
        self::assertSame(['vane_nobody', 'vane_artist', 'vane_other'], array_column($plan['rows'], 'code'));
        $this->write(
            ['learners' => 'artist, other nobody', 'code' => 'vane_{learner}', 'seal' => $plan['seal']],
        )->assertSessionHasNoErrors();
        self::assertSame(
            [$this->artist->id, $this->other->id],
            Deliverable::query()->where('code', 'like', 'vane%')->orderBy('code')->pluck('owner_id')->all(),
        );
    }

    public function test_what_is_written_can_be_read_again(): void
    {
        $this->actingAs($this->coordinator);
        $csv = (string) $this->get("/productions/{$this->production->id}/deliverables.csv")->assertOk()->getContent();
        self::assertStringContainsString('TC_010,a shot,1001-1010,,,,artist,', $csv);
        $again = $this->read(['text' => $csv]);
        self::assertSame(0, $again['counts']['refuse'] + $again['counts']['make']);
        [$rows] = Timeline::read(
            (string) $this->get("/productions/{$this->production->id}/deliverables.otio")->assertOk()->getContent(),
            'again',
        );
        self::assertSame(
            [['time.range' => '1001-1010', 'time.rate' => '24'], ['time.range' => '1001-1010', 'time.rate' => '24']],
            array_map(static fn ($r): array => $r->overrides, $rows),
        );
        $this->get("/productions/{$this->production->id}/deliverables.exe")->assertNotFound();
    }

    public function test_one_value_of_many_together(): void
    {
        $ids = [$this->deliverable->id, $this->others->id];
        $data = ['deliverables' => $ids, 'id' => 'time.range', 'value' => '1-20000', 'level' => 'must'];
        $lines = (array) $this->actingAs($this->coordinator)
            ->postJson("/productions/{$this->production->id}/together/read", $data)
            ->assertOk()
            ->json('lines');
        self::assertSame(
            [['TC_010', '1001-1010', '1-20000'], ['TC_020', '1001-1010', '1-20000']],
            array_map(static fn (array $l): array => [$l['code'], $l['from'], $l['to']], $lines),
        );
        self::assertSame(['Frame 20000 needs 5 digits and the name has 4.'], $lines[0]['conflicts']);
        self::assertSame('1001-1010', $this->others->fresh()?->overrides['time.range']);

        $this->post(
            "/productions/{$this->production->id}/together",
            ['value' => '1-20'] + $data,
        )->assertSessionHas('told', '2 deliverables changed.');
        self::assertSame('1-20', $this->others->fresh()->overrides['time.range']);
        $this->from('/x')
            ->post("/productions/{$this->production->id}/together", ['value' => 'x'] + $data)
            ->assertSessionHasErrors('value');
        $this->post(
            "/productions/{$this->production->id}/together",
            ['deliverables' => [999]] + $data,
        )->assertSessionHasErrors('deliverables');
        $this->post(
            "/productions/{$this->production->id}/together",
            ['drop' => true] + $data,
        )->assertSessionHasNoErrors();
        self::assertSame([], $this->others->fresh()?->overrides);
    }

    public function test_where_parts_differ_each_is_told(): void
    {
        $part = static fn (string $name, array $require): array => [
            'name' => $name, 'delivers' => 'frames', 'require' => $require,
        ];
        $this->deliverable->specification->revise(
            ['parts' => [$part('plate', ['time.handles' => '8']), $part('matte', [])]],
            $this->coordinator,
        );
        $look = fn (array $change): array => (array) $this->actingAs($this->coordinator)->postJson(
            "/productions/{$this->production->id}/together/read",
            ['deliverables' => [$this->deliverable->id], 'id' => 'time.handles', 'level' => 'must'] + $change,
        )->assertOk()->json('lines.0');
        $line = $look(['value' => '4']);
        self::assertSame(['plate: 8+8, matte: not asked', '4+4'], [$line['from'], $line['to']]);
        $this->deliverable->update(['overrides' => ['time.handles' => '4+4']]);
        $line = $look(['drop' => true]);
        self::assertSame(['4+4', 'plate: 8+8, matte: not asked'], [$line['from'], $line['to']]);
    }

    public function test_two_that_would_write_the_same_path(): void
    {
        $this->actingAs($this->coordinator);
        self::assertSame([], $this->getJson("/productions/{$this->production->id}/proof")->json('found'));
        $this->deliverable->specification->revise(
            ['delivers' => 'frames', 'require' => ['format.kind' => 'png', 'naming.pattern' => 'sky.{frame:4}.{ext}']],
            $this->coordinator,
        );
        $found = (array) $this->getJson("/productions/{$this->production->id}/proof")->assertOk()->json('found');
        self::assertSame(
            ['TC_010', 'TC_020'],
            array_values(array_unique([...array_column($found, 'code')])) === ['TC_020', 'TC_010']
                ? ['TC_010', 'TC_020']
                : array_column($found, 'code'),
        );
        self::assertSame(
            'TC_010 and TC_020 would write the same path, sky.####.png.',
            $found[0]['conflicts'][0]['says'],
        );
    }

    public function test_a_specification_from_a_preset_another_and_files(): void
    {
        $make = fn (array $data): TestResponse => $this->actingAs($this->coordinator)
            ->from('/x')
            ->post("/productions/{$this->production->id}/deliverables", $data);
        $asked = static fn (string $code): array => array_map(
            static fn ($r): string => $r->required(),
            Deliverable::query()->where('code', $code)->firstOrFail()->resolved()->parts[0]->requirements,
        );

        $make(['code' => 'A', 'begin' => 'preset:dc-2k-scope'])->assertSessionHasNoErrors();
        self::assertSame(['2048x858', 'exr'], [$asked('A')['picture.resolution'], $asked('A')['format.kind']]);
        $make(['code' => 'B', 'begin' => "copy:{$this->deliverable->specification_id}"])->assertSessionHasNoErrors();
        self::assertSame('{shot}.{frame:4}.{ext}', $asked('B')['naming.pattern']);
        $make(
            ['code' => 'C', 'begin' => 'files', 'root' => $this->root(), 'below' => 'TC_010/v1'],
        )->assertSessionHasNoErrors();
        self::assertSame(
            ['1001-1006', 'TC_010.{frame:4}.{ext}', '64x36'],
            [$asked('C')['time.range'], $asked('C')['naming.pattern'], $asked('C')['picture.resolution']],
        );

        $this->post(
            "/productions/{$this->production->id}/presets",
            ['title' => 'Ours', 'specification' => $this->deliverable->specification_id],
        )->assertSessionHas('told');
        $preset = $this->production->presets()->firstOrFail();
        $make(['code' => 'D', 'begin' => "own:{$preset->id}"])->assertSessionHasNoErrors();
        self::assertSame('64x36', $asked('D')['picture.resolution']);
        $this->patch("/presets/{$preset->id}", ['title' => 'Ours, lit'])->assertSessionHasNoErrors();
        self::assertSame(
            'Ours, lit',
            $this->page("/productions/{$this->production->id}/deliverables/new")['presets'][0]['title'],
        );
        $this->delete("/presets/{$preset->id}")->assertSessionHasNoErrors();

        foreach (['preset:none', "own:{$preset->id}", 'copy:999', 'files'] as $n => $begin) {
            $make(['code' => "E{$n}", 'begin' => $begin])->assertSessionHasErrors('begin');
        }
        $make(
            ['code' => 'F', 'begin' => 'files', 'root' => $this->root(), 'below' => '../elsewhere'],
        )->assertSessionHasErrors('begin');
    }

    public function test_a_specification_of_a_production_one_does_not_decide_in_is_not_copied(): void
    {
        $elsewhere = ProductionFactory::new()->with($this->stranger, 'coordinator')->create();
        $secret = $elsewhere->specifications()->create(['title' => 'Secret']);
        $secret->revise(['delivers' => 'frames', 'require' => []], null);
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->post(
                "/productions/{$this->production->id}/deliverables",
                ['code' => 'A', 'begin' => "copy:{$secret->id}"],
            )
            ->assertSessionHasErrors('begin');
        self::assertNotContains(
            'Secret',
            array_column($this->page("/productions/{$this->production->id}/deliverables/new")['others'], 'title'),
        );
        self::assertSame(1, Specification::query()->where('production_id', $this->production->id)->count());
        self::assertInstanceOf(User::class, $this->stranger);
    }

    public function test_what_files_would_make_is_shown_before(): void
    {
        $parts = (array) $this->actingAs($this->coordinator)
            ->postJson(
                "/productions/{$this->production->id}/reference",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'code' => 'TC_010'],
            )
            ->assertOk()
            ->json('parts');
        self::assertSame(
            ['{shot}.{frame:4}.{ext}'],
            array_column(
                array_filter($parts[0]['lines'], static fn (array $l): bool => $l['label'] === 'File names'),
                'value',
            ),
        );
        $this->getJson("/productions/{$this->production->id}/reference?root={$this->root()}")
            ->assertOk()
            ->assertJsonPath('folders', ['TC_010', 'TC_020']);
        $this->postJson(
            "/productions/{$this->production->id}/reference",
            ['root' => $this->root(), 'below' => 'TC_020'],
        )->assertUnprocessable();
    }

    public function test_the_calculator(): void
    {
        $work = fn (array $data): TestResponse => $this->actingAs($this->artist)->postJson('/calculate', $data);
        $work(
            [
                'word' => 'picture-data',
                'given' => ['size' => '1280x720', 'channels' => 'RGB', 'bits' => '8', 'frames' => '240'],
            ],
        )->assertOk()->assertJsonPath('results.1.value', '663,552,000 bytes (664 MB)');
        $work(['word' => 'picture-data', 'given' => ['size' => 'big']])->assertOk()->assertJsonPath('results', []);
        self::assertStringContainsString(
            '“big”',
            (string) $work(
                ['word' => 'picture-data', 'given' => ['size' => 'big', 'channels' => 'RGB', 'bits' => '8']],
            )->json('fault'),
        );
        $work(['word' => 'no such', 'given' => []])->assertNotFound();
        self::assertCount(8, $this->page('/calculator')['calculations']);
    }
}
