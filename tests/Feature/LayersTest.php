<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Models\Change;
use App\Models\Deliverable;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Illuminate\Validation\ValidationException;
use Tests\Feature\Support\LedgerTestCase;

/** What is asked, in its layers: who set it, taken back, made again, never over somebody else's. */
final class LayersTest extends LedgerTestCase
{
    /** @param  array<string, mixed>  $data */
    private function change(array $data): TestResponse
    {
        return $this->actingAs($this->coordinator)
            ->from("/deliverables/{$this->deliverable->id}/specification")
            ->patch(
                "/deliverables/{$this->deliverable->id}/requirements",
                $data + ['level' => 'must', 'scope' => 'deliverable'],
            );
    }

    /** @return array<string, array<string, mixed>> lines by id */
    private function lines(int $part = 0): array
    {
        return array_column(
            $this->page("/deliverables/{$this->deliverable->id}/specification")['asked']['parts'][$part]['lines'],
            null,
            'id',
        );
    }

    public function test_a_line_says_what_each_layer_sets(): void
    {
        $this->change(['id' => 'time.rate', 'value' => '25'])->assertSessionHasNoErrors();
        $line = $this->lines()['time.rate'];

        self::assertSame(
            ['25', 'deliverable', ['house' => '24', 'deliverable' => '25']],
            [$line['value'], $line['setBy'], $line['layers']],
        );
        $this->change(['id' => 'time.rate', 'drop' => true])->assertSessionHasNoErrors();
        self::assertSame(
            ['24', ['house' => '24']],
            [$this->lines()['time.rate']['value'], $this->lines()['time.rate']['layers']],
        );
    }

    public function test_what_is_asked_no_more_can_be_asked_again(): void
    {
        $this->change(['id' => 'time.rate', 'drop' => true]);
        self::assertArrayNotHasKey('time.rate', $this->lines());
        $dropped = $this->page("/deliverables/{$this->deliverable->id}/specification")['asked']['parts'][0]['dropped'];
        self::assertSame(
            [['time.rate', 'deliverable', 'house', '24']],
            array_map(static fn (array $d): array => [$d['id'], $d['by'], $d['from'], $d['value']], $dropped),
        );
        $this->change(['id' => 'time.rate', 'drop' => true]);
        self::assertSame('24', $this->lines()['time.rate']['value']);
    }

    public function test_a_change_is_taken_back_and_made_again(): void
    {
        $this->change(
            ['id' => 'time.rate', 'value' => '25', 'level' => 'should', 'why' => 'for the foyer'],
        )->assertSessionHas('change');
        $change = Change::query()->firstOrFail();
        self::assertSame(
            ['deliverable', '', 'time.rate', null],
            [$change->layer, $change->part, $change->key, $change->before],
        );
        $this->post("/changes/{$change->id}/undo")->assertSessionHasNoErrors();
        self::assertSame('24', $this->lines()['time.rate']['value']);
        $this->post("/changes/{$change->id}/undo")->assertSessionHasErrors('refused');
        $this->post("/changes/{$change->id}/redo")->assertSessionHasNoErrors();
        self::assertSame(
            ['25', 'should', 'for the foyer'],
            [
                $this->lines()['time.rate']['value'],
                $this->lines()['time.rate']['level'],
                $this->lines()['time.rate']['why'],
            ],
        );
        $this->change(['id' => 'time.rate', 'value' => '30']);
        $this->post("/changes/{$change->id}/undo")->assertSessionHasErrors('refused');
        self::assertSame('30', $this->lines()['time.rate']['value']);
    }

    public function test_somebody_elses_change_is_not_written_over(): void
    {
        $seen = $this->lines_as_coordinator()['picture.resolution']['tokens']['specification'];
        $this->change(
            ['id' => 'picture.resolution', 'value' => '128x72', 'scope' => 'specification', 'seen' => $seen],
        )->assertSessionHasNoErrors();
        $this->change(
            ['id' => 'picture.resolution', 'value' => '32x18', 'scope' => 'specification', 'seen' => $seen],
        )->assertSessionHasErrors(
            ['conflict' => 'Coordinator has changed this meanwhile. Theirs stands now; yours is kept in the field.'],
        );
        self::assertSame('128x72', $this->lines()['picture.resolution']['value']);
        $this->change(
            ['id' => 'picture.resolution', 'value' => '32x18', 'scope' => 'specification'],
        )->assertSessionHasNoErrors();
        self::assertSame('32x18', $this->lines()['picture.resolution']['value']);
    }

    /** @return array<string, array<string, mixed>> */
    private function lines_as_coordinator(): array
    {
        $this->actingAs($this->coordinator);

        return $this->lines();
    }

    /** Two who began before either was done: neither change is lost, though each is written with its whole layer. */
    public function test_changes_made_at_the_same_time_all_stand(): void
    {
        $change = app(ChangeRequirement::class);
        foreach (['deliverable', 'specification', 'house'] as $layer) {
            $target = static fn (Deliverable $d): ChangedLayer => ChangedLayer::byLayer($d)[$layer];
            $first = $target(Deliverable::query()->findOrFail($this->deliverable->id));
            $second = $target(Deliverable::query()->findOrFail($this->deliverable->id));
            // both have looked
            self::assertSame($first->token('', 'render.samples'), $second->token('', 'render.samples'));
            $change->run($first, '', 'render.samples', '128', $this->coordinator);
            $change->run($second, '', 'render.quality', '"final"', $this->artist);
            $third = $target(Deliverable::query()->findOrFail($this->deliverable->id));
            self::assertSame(
                ['128', '"final"'],
                [$third->read('', 'render.samples'), $third->read('', 'render.quality')],
                $layer,
            );
            // and one made to the very same line is noticed, though it was not there when the second looked
            try {
                $change->run($second, '', 'render.samples', '64', $this->artist, 'none');
                self::fail($layer);
            } catch (ValidationException $refused) {
                self::assertSame(['conflict'], array_keys($refused->errors()));
            }
        }
    }

    public function test_a_page_asks_the_database_as_little_for_many_lines_as_for_few(): void
    {
        $count = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->actingAs($this->coordinator)
                ->get("/deliverables/{$this->deliverable->id}/specification")
                ->assertOk();

            return count(DB::getQueryLog());
        };
        // the first one notes that somebody is here
        $count();
        $few = $count();
        $this->deliverable->specification->revise(
            [
                'delivers' => 'frames',
                'require' => array_combine(
                    array_map(static fn (int $i): string => "other.fact_{$i}", range(1, 200)),
                    array_fill(0, 200, 1),
                ),
            ],
            $this->coordinator,
        );
        self::assertSame($few, $count());
    }

    public function test_people_who_look_at_the_same_hear_of_each_other(): void
    {
        $url = "/deliverables/{$this->deliverable->id}/presence";
        $first = (array) $this->actingAs($this->coordinator)->postJson($url)->assertOk()->json();
        self::assertSame([], $first['others']);
        $second = (array) $this->actingAs($this->artist)->postJson($url)->assertOk()->json();
        self::assertSame(['Coordinator'], $second['others']);
        $this->change(['id' => 'time.rate', 'value' => '25']);
        $third = (array) $this->actingAs($this->artist)->postJson($url)->json();
        self::assertNotSame($second['state']['token'], $third['state']['token']);
        self::assertSame('Coordinator', $third['state']['by']);
    }

    public function test_the_house_asks_of_everything(): void
    {
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->patch(
                "/productions/{$this->production->id}/house",
                ['id' => 'picture.pixel_aspect', 'value' => 'square', 'level' => 'must'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['1/1', 'house'],
            [$this->lines()['picture.pixel_aspect']['value'], $this->lines()['picture.pixel_aspect']['setBy']],
        );
        $this->patch(
            "/productions/{$this->production->id}/house",
            ['id' => 'picture.resolution', 'value' => '400x300 | 640x480', 'level' => 'must', 'starting' => true],
        )->assertSessionHasNoErrors();
        self::assertSame(
            ['time.range' => ['1-60'], 'picture.resolution' => ['400x300', '640x480']],
            $this->deliverable->fresh()?->resolved()->startingValues,
        );
        $this->patch(
            "/productions/{$this->production->id}/house",
            ['id' => 'time.rate', 'value' => 'fast', 'level' => 'must'],
        )->assertSessionHasErrors('value');
        $this->patch(
            "/productions/{$this->production->id}/house",
            ['id' => 'time.range', 'drop' => true, 'level' => 'must', 'starting' => true],
        )->assertSessionHasNoErrors();
        $page = $this->page("/productions/{$this->production->id}/house");
        self::assertSame(['picture.resolution'], array_column($page['starting'], 'id'));
        self::assertSame(['picture.pixel_aspect', 'time.rate'], array_column($page['lines'], 'id'));
    }

    public function test_a_change_of_the_house_through_a_deliverable(): void
    {
        $this->change(['id' => 'time.rate', 'value' => '25']);
        $this->change(['id' => 'time.rate', 'value' => '30', 'scope' => 'house'])->assertSessionHasNoErrors();
        self::assertSame(['house' => '30'], $this->lines()['time.rate']['layers']);
        self::assertSame('30', $this->others->fresh()?->resolved()->parts[0]->single('time.rate'));
    }

    public function test_parts_are_added_asked_apart_and_taken_away(): void
    {
        $specification = $this->deliverable->specification_id;
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->post(
                "/specifications/{$specification}/parts",
                ['does' => 'add', 'name' => 'preview', 'delivers' => 'movie', 'made_from' => 'frames'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['frames', 'preview'],
            $this->deliverable->fresh()?->parts()->orderBy('id')->pluck('name')->all(),
        );
        // what only frames can mean went with the frames; what holds for both stays outside
        self::assertSame(
            ['picture.resolution', 'time.rate', 'time.range', 'delivery.extras'],
            array_keys($this->lines(1)),
        );
        self::assertArrayHasKey('naming.pattern', $this->lines(0));

        $this->change(['id' => 'format.kind', 'part' => 'preview', 'value' => 'mp4'])->assertSessionHasNoErrors();
        self::assertSame(
            ['png', 'mp4'],
            [$this->lines(0)['format.kind']['value'], $this->lines(1)['format.kind']['value']],
        );
        $this->change(
            ['id' => 'format.codec', 'part' => 'preview', 'value' => 'H.264', 'scope' => 'specification'],
        )->assertSessionHasNoErrors();
        self::assertSame('h264', $this->others->fresh()?->resolved()->part('preview')?->single('format.codec'));
        $this->change(
            ['id' => 'picture.resolution', 'part' => 'preview', 'value' => '32x18', 'scope' => 'specification'],
        )->assertSessionHasNoErrors();
        self::assertSame('32x18', $this->lines(0)['picture.resolution']['value']);

        $this->post(
            "/specifications/{$specification}/parts",
            ['does' => 'rename', 'name' => 'preview', 'to' => 'reel'],
        )->assertSessionHasNoErrors();
        self::assertSame('mp4', $this->deliverable->fresh()?->resolved()->part('reel')?->single('format.kind'));
        $this->post(
            "/specifications/{$specification}/parts",
            ['does' => 'add', 'name' => 'reel', 'delivers' => 'still'],
        )->assertSessionHasErrors('name');
        $this->post(
            "/specifications/{$specification}/parts",
            ['does' => 'remove', 'name' => 'frames'],
        )->assertSessionHasErrors('name');
        $this->post(
            "/specifications/{$specification}/parts",
            ['does' => 'remove', 'name' => 'reel'],
        )->assertSessionHasNoErrors();
        $this->post(
            "/specifications/{$specification}/parts",
            ['does' => 'remove', 'name' => 'frames'],
        )->assertSessionHasErrors('name');
        self::assertSame(['frames'], $this->deliverable->fresh()->parts()->pluck('name')->all());
    }

    public function test_revisions_are_compared_and_checks_made_again(): void
    {
        $specification = $this->deliverable->specification;
        $this->actingAs($this->coordinator)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        self::assertSame([], $this->page("/specifications/{$specification->id}")['outOfDate']);
        $this->change(['id' => 'picture.resolution', 'value' => '128x72', 'scope' => 'specification']);
        $this->change(['id' => 'content.whole', 'drop' => true, 'scope' => 'specification']);
        $page = $this->page("/specifications/{$specification->id}");

        self::assertSame([2, 1], array_column($page['revisions'], 'number'));
        self::assertSame(
            [[false, 0], [true, 1]],
            array_map(static fn (array $r): array => [$r['fixed'], $r['checks']], $page['revisions']),
        );
        self::assertSame(
            [['picture.resolution', '64x36', '128x72'], ['content.whole', 'yes', null]],
            array_map(static fn (array $l): array => [$l['id'], $l['from'], $l['to']], $page['differs']),
        );
        self::assertSame(['TC_010'], array_column($page['outOfDate'], 'deliverable'));
        $this->post("/specifications/{$specification->id}/recheck")->assertSessionHas('told');
        self::assertSame([], $this->page("/specifications/{$specification->id}")['outOfDate']);
        self::assertStringContainsString(
            '128x72',
            (string) json_encode($this->deliverable->checks()->latest('id')->firstOrFail()->account()),
        );
        $this->patch("/specifications/{$specification->id}", ['title' => 'Lit'])->assertSessionHasNoErrors();
        self::assertSame('Lit', $specification->fresh()?->title);
    }

    public function test_values_of_names(): void
    {
        $patch = fn (string $name, string $value): TestResponse => $this->actingAs($this->coordinator)
            ->from('/x')
            ->patch("/deliverables/{$this->deliverable->id}/values", ['name' => $name, 'value' => $value]);
        $patch('version', '3')->assertSessionHasNoErrors();
        $patch('unit', 'b')->assertSessionHasNoErrors();
        self::assertSame(['version' => '3', 'unit' => 'b'], $this->deliverable->fresh()?->values);
        $patch('unit', '')->assertSessionHasNoErrors();
        self::assertSame(['version' => '3'], $this->deliverable->fresh()?->values);
        $patch('Unit', 'x')->assertSessionHasErrors('name');
        $patch('unit', '../x')->assertSessionHasErrors('value');
    }

    public function test_what_is_typed_shows_what_would_follow(): void
    {
        $ask = fn (array $data): array => (array) $this->actingAs($this->coordinator)
            ->postJson("/deliverables/{$this->deliverable->id}/understand", $data)
            ->assertOk()
            ->json();
        $answer = $ask(['id' => 'time.range', 'value' => '1-20000', 'part' => '']);

        self::assertSame('Frame 20000 needs 5 digits and the name has 4.', $answer['parts'][0]['conflicts'][0]['says']);
        self::assertSame(
            ['TC_010.0001.png', 'TC_010.10000.png', 'TC_010.20000.png'],
            $answer['parts'][0]['names']['sets'][0]['names'],
        );
        self::assertContains(
            'Neither name nor folder has a {version}: a new take lies over the last one.',
            $answer['parts'][0]['notes'],
        );
        self::assertSame('1001-1010', $this->lines()['time.range']['value']);
    }

    public function test_what_one_pass_alone_is_asked_is_typed_behind_its_name(): void
    {
        $this->deliverable->update(
            [
                'overrides' => $this->deliverable->overrides + [
                    'passes' => ['beauty', ['name' => 'mist', 'require' => ['format.bit_depth' => 16]]],
                ],
            ],
        );
        $this->actingAs($this->coordinator);
        $shown = $this->lines()['passes']['value'];
        self::assertSame('beauty, mist (format.bit_depth 16)', $shown);
        // what was shown is typed again, and more
        $this->change(
            ['id' => 'passes', 'value' => str_replace('beauty', 'beauty (Alpha straight)', $shown).', shadow'],
        )->assertSessionHasNoErrors();
        $fresh = Deliverable::query()->findOrFail($this->deliverable->id);
        self::assertEquals(
            [
                ['name' => 'beauty', 'require' => ['format.alpha' => 'straight']],
                ['name' => 'mist', 'require' => ['format.bit_depth' => '16']],
                'shadow',
            ],
            $fresh->overrides['passes'],
        );
        self::assertStringContainsString('Of mist: ', $this->lines()['passes']['sentence']);
        foreach ([
            'mist (bit depth 16' => 'bracket',
            'mist (frobnicate 3)' => 'frobnicate',
            'mist (render.samples 4)' => 'not shown by the files',
            'mist (bit depth lots)' => 'of mist',
        ] as $typed => $says) {
            $this->change(['id' => 'passes', 'value' => $typed])->assertSessionHasErrors('value');
            self::assertStringContainsString($says, session('errors')->first('value'));
        }
        $this->change(['id' => 'passes', 'value' => 'mist, shadow'])->assertSessionHasNoErrors();
        self::assertSame(
            ['mist', 'shadow'],
            Deliverable::query()->findOrFail($this->deliverable->id)->overrides['passes'],
        );
    }
}
