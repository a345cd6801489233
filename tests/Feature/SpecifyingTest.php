<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Deliverable;
use Illuminate\Http\UploadedFile;
use Tests\Feature\Support\LedgerTestCase;

final class SpecifyingTest extends LedgerTestCase
{
    private function change(array $data): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->coordinator)
            ->from("/deliverables/{$this->deliverable->id}/specification")
            ->patch(
                "/deliverables/{$this->deliverable->id}/requirements",
                $data + ['level' => 'must', 'scope' => 'deliverable'],
            );
    }

    /** @return array<string, array<string, mixed>> lines by id */
    private function lines(): array
    {
        return array_column(
            $this->page("/deliverables/{$this->deliverable->id}/specification")['asked']['parts'][0]['lines'],
            null,
            'id',
        );
    }

    public function test_each_value_knows_who_set_it(): void
    {
        $this->actingAs($this->coordinator);
        $lines = $this->lines();

        self::assertSame(
            ['house', 'specification', 'deliverable'],
            [$lines['time.rate']['setBy'], $lines['picture.resolution']['setBy'], $lines['time.range']['setBy']],
        );
        self::assertSame('Each picture is 64 × 36 pixels.', $lines['picture.resolution']['sentence']);
    }

    public function test_a_value_is_taken_as_people_type_it(): void
    {
        $this->change(['id' => 'time.rate', 'value' => '23.98'])->assertSessionHasNoErrors();
        self::assertSame('24000/1001', $this->lines()['time.rate']['value']);
        self::assertSame('deliverable', $this->lines()['time.rate']['setBy']);
        $this->change(['id' => 'time.rate', 'drop' => true])->assertSessionHasNoErrors();
        self::assertSame(['24', 'house'], [$this->lines()['time.rate']['value'], $this->lines()['time.rate']['setBy']]);
    }

    public function test_a_change_for_all_holds_for_all(): void
    {
        $this->change(
            [
                'id' => 'picture.resolution',
                'value' => '1920 × 1080',
                'scope' => 'specification',
                'level' => 'should',
                'why' => 'for now',
            ],
        )->assertSessionHasNoErrors();
        $other = $this->others->fresh() ?? $this->others;
        $requirement = $other->resolved()->parts[0]->find('picture.resolution');

        self::assertSame(
            ['1920x1080', 'should', 'for now'],
            [$requirement?->required(), $requirement?->level->value, $requirement?->why],
        );
    }

    public function test_a_line_is_not_asked_any_more(): void
    {
        $this->change(['id' => 'content.whole', 'drop' => true])->assertSessionHasNoErrors();
        self::assertArrayNotHasKey('content.whole', $this->lines());
        self::assertNotNull($this->others->resolved()->parts[0]->find('content.whole'));
    }

    public function test_what_cannot_be_understood_is_refused_beside_its_field(): void
    {
        foreach ([
            ['picture.resolution', 'big'],
            ['time.range', '10-1'],
            ['naming.pattern', '{shot}.{ext}'],
            ['naming.pattern', '{frame}_{frame}'],
            ['time.rate', '-3'],
            ['format.kind', 'banana'],
            ['no.such', '1'],
            ['time.handles', '999999'],
        ] as [$id, $value]) {
            $this->change(['id' => $id, 'value' => $value])->assertSessionHasErrors('value');
        }
        self::assertSame('1001-1010', $this->lines()['time.range']['value']);
    }

    public function test_understanding_answers_before_anything_is_kept(): void
    {
        $ask = fn (string $id, string $value): array => (array) $this->actingAs($this->coordinator)
            ->postJson("/deliverables/{$this->deliverable->id}/understand", ['id' => $id, 'value' => $value])
            ->assertOk()
            ->json();

        self::assertSame('1-9x2', $ask('time.range', '1,3,5,7,9')['says']);
        self::assertSame('12+12', $ask('time.handles', '12')['says']);
        self::assertStringContainsString('ends before it starts', (string) $ask('time.range', '9-1')['fault']);
        self::assertSame('1001-1010', $this->lines()['time.range']['value']);
    }

    public function test_consequences_follow_from_what_is_asked(): void
    {
        $this->change(['id' => 'time.handles', 'value' => '8']);
        $part = $this->page("/deliverables/{$this->deliverable->id}/specification")['asked']['parts'][0];
        $lines = array_column($part['consequences'], 'value', 'label');

        self::assertSame(
            ['26', '10', '1 s 2 f'],
            [$lines['frames'], $lines['of them in the cut'], $lines['running time']],
        );
        self::assertSame(
            ['TC_010.0993.png', 'TC_010.1018.png'],
            [$part['names']['sets'][0]['names'][0], $part['names']['sets'][0]['names'][2]],
        );
    }

    public function test_a_new_deliverable_with_a_specification_of_its_own(): void
    {
        $file = UploadedFile::fake()->createWithContent(
            'spec.json',
            (string) json_encode(
                [
                    'format' => 'plain-ledger/specification',
                    'version' => 1,
                    'title' => 'Poster',
                    'delivers' => 'still',
                    'require' => ['format.kind' => 'tiff'],
                ],
            ),
        );
        $this->actingAs($this->coordinator)
            ->post(
                "/productions/{$this->production->id}/deliverables",
                [
                    'code' => 'TC_STILL',
                    'title' => 'poster',
                    'document' => $file,
                    'owner' => $this->artist->id,
                    'due' => '2027-01-05T18:00',
                ],
            )
            ->assertSessionHasNoErrors();
        $made = Deliverable::query()->where('code', 'TC_STILL')->firstOrFail();

        self::assertSame('Poster', $made->specification->title);
        self::assertSame('still', $made->parts()->firstOrFail()->delivers);
        self::assertSame('tiff', $made->resolved()->parts[0]->single('format.kind'));
    }

    public function test_a_new_deliverable_is_refused_in_words(): void
    {
        $post = fn (array $data) => $this->actingAs($this->coordinator)
            ->from('/')
            ->post("/productions/{$this->production->id}/deliverables", $data);
        $post(['code' => 'TC_010'])->assertSessionHasErrors('code');
        $post(['code' => '../x'])->assertSessionHasErrors('code');
        $post(['code' => 'TC_050', 'range' => '9-1'])->assertSessionHasErrors();
        $post(['code' => 'TC_050', 'owner' => $this->stranger->id])->assertSessionHasErrors('owner');
        $post(
            ['code' => 'TC_050', 'document' => UploadedFile::fake()->createWithContent('s.json', '{')],
        )->assertSessionHasErrors();
        self::assertSame(2, Deliverable::query()->count());
    }

    public function test_parts_and_what_they_are_made_from_stand_in_their_table(): void
    {
        $this->deliverable->specification->revise(['parts' => [
            ['name' => 'frames', 'delivers' => 'frames', 'require' => ['format.kind' => 'png']],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => ['format.kind' => 'mp4'],
            ],
        ]], $this->coordinator);
        $this->deliverable->unsetRelations();
        $this->deliverable->keepParts();
        $parts = $this->deliverable->parts()->orderBy('id')->get();

        self::assertSame(['frames', 'preview'], $parts->pluck('name')->all());
        self::assertSame($parts[0]->id, $parts[1]->made_from_id);
    }

    public function test_a_first_production_without_the_demo(): void
    {
        $this->artisan(
            'ledger:begin',
            [
                '--name' => 'Brida Coil',
                '--email' => 'brida@harbour.example',
                '--password' => 'long enough now',
                '--production' => 'Fog Bank',
                '--code' => 'FB',
            ],
        )->assertSuccessful();
        $this->artisan(
            'ledger:begin',
            [
                '--name' => 'X',
                '--email' => 'x@harbour.example',
                '--password' => 'short',
                '--production' => 'Fog Bank',
                '--code' => 'FB',
            ],
        )->assertFailed();
        $this->post(
            '/sign-in',
            ['email' => 'brida@harbour.example', 'password' => 'long enough now'],
        )->assertRedirect('/');
        $this->get('/')->assertRedirect();
    }

    public function test_a_role_is_not_changed_silently_and_codes_have_no_case(): void
    {
        $again = ['--email' => $this->artist->email, '--code' => 'tc', '--role' => 'coordinator'];
        $this->artisan('ledger:begin', $again)
            ->expectsOutput('Artist is artist of “The Tide Clock” already. To change that, add --change.')
            ->assertFailed();
        self::assertSame('artist', $this->artist->roleIn($this->production->id)?->value);
        $this->artisan('ledger:begin', $again + ['--change' => true])->assertSuccessful();
        self::assertSame('coordinator', $this->artist->roleIn($this->production->id)?->value);
        $this->artisan('ledger:begin', $again)->assertSuccessful();
    }
}
