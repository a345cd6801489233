<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Demo\Practice\Brief;
use PlainLedger\Demo\Practice\PracticeMaker;
use Tests\Feature\Support\LedgerTestCase;

/** An instructor sets something to practise on, and each gets another one of it. */
final class PracticeTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['filesystems.disks.local.root' => "{$this->intake->folder}/storage"]);
        Storage::forgetDisk('local');
    }

    /** @param  array<string, mixed>  $what */
    private function set(array $what): PracticeExercise
    {
        $this->actingAs($this->coordinator)->post("/productions/{$this->production->id}/practice", $what)
            ->assertSessionHasNoErrors();

        return PracticeExercise::query()->latest('id')->firstOrFail();
    }

    private function begun(PracticeExercise $exercise, User $who): PracticeTry
    {
        $this->actingAs($who)->post("/practice/{$exercise->id}")->assertRedirect("/practice/{$exercise->id}");

        return PracticeTry::query()->where('user_id', $who->id)->latest('id')->firstOrFail();
    }

    public function test_a_learner_answers_and_reads_why(): void
    {
        $exercise = $this->set(['title' => 'Mine', 'mistakes' => ['scale-below-full', 'too-many-digits']]);
        $this->actingAs($this->artist);
        self::assertFalse($this->page("/practice/{$exercise->id}")['begun']);
        $try = $this->begun($exercise, $this->artist);
        $page = $this->page("/practice/{$exercise->id}");
        self::assertTrue($page['begun']);
        self::assertContains('50', array_column($page['scene'], 'value', 'name'));
        self::assertGreaterThan(20, count($page['files']));
        self::assertContains('scale-below-full', array_column($page['causes'], 'id'));
        // nothing on it tells the mistakes
        self::assertNull($this->page("/productions/{$this->production->id}/practice")['exercises'][0]['mistakes']);
        self::assertArrayNotHasKey('mistakes', $page['exercise']);

        $frames = (string) PracticeMaker::truth(Storage::path($try->folder()))->render['frames'];
        $this->post("/practice/{$exercise->id}/answer", [
            'balances' => false, 'lines' => ['picture.resolution', 'picture.scale', 'time.rate'],
            'causes' => ['scale-below-full'], 'render' => $frames,
        ])->assertSessionHas('told', '6 of 10 points.');
        $marks = $this->page("/practice/{$exercise->id}")['marks'];
        self::assertSame([6, 10], [$marks['earned'], $marks['possible']]);
        $says = implode("\n", array_column($marks['points'], 'says'));
        self::assertStringContainsString('Frame rate does not differ.', $says);
        self::assertStringContainsString('picture.scale is 50', $says);
        // once only
        $this->post("/practice/{$exercise->id}/answer", ['balances' => true])->assertSessionHasErrors('refused');
        self::assertSame(6, $try->refresh()->marks['earned'] ?? null);

        // another one of the kind
        $next = $this->begun($exercise, $this->artist);
        self::assertNotSame($try->id, $next->id);
        self::assertNull($this->page("/practice/{$exercise->id}")['marks']);
        // who began and has not answered gets no third
        self::assertSame($next->id, $this->begun($exercise, $this->artist)->id);
    }

    public function test_whatever_differs_can_be_chosen(): void
    {
        foreach (['movie-short', 'turned-by-metadata', 'pass-missing', 'no-start-timecode'] as $mistake) {
            $exercise = $this->set(['title' => $mistake, 'mistakes' => [$mistake]]);
            $try = $this->begun($exercise, $this->artist);
            $page = $this->page("/practice/{$exercise->id}");
            $truth = PracticeMaker::truth(Storage::path($try->folder()));
            $offered = array_column($page['asked'], 'id');
            self::assertSame([], array_values(array_diff($truth->lines, $offered)), $mistake);
            self::assertSame($offered, array_values(array_unique($offered)));
            $this->post("/practice/{$exercise->id}/answer", [
                'balances' => false, 'lines' => $truth->lines, 'causes' => array_keys($truth->causes),
                'render' => (string) ($truth->render['frames'] ?? ''),
            ])->assertSessionHasNoErrors();
            $marks = $this->page("/practice/{$exercise->id}")['marks'];
            self::assertSame($marks['possible'], $marks['earned'], $mistake);
        }
        // what is asked of either part stands there with whose it is
        $kinds = array_column($page['asked'], 'required', 'id')['format.kind'];
        self::assertSame('png (frames), mp4 (movie)', $kinds);
        self::assertContains('beauty, mist, shadow', array_column(
            $this->page('/practice/'.PracticeExercise::query()->where('title', 'pass-missing')->value('id'))['scene'],
            'value',
        ));
    }

    public function test_a_specification_is_written_for_a_described_job(): void
    {
        $exercise = $this->set(['title' => 'Ask for it', 'kind' => 'write']);
        $try = $this->begun($exercise, $this->artist);
        $page = $this->page("/practice/{$exercise->id}");
        self::assertSame(Brief::of($try->word)->text(), $page['brief']);
        self::assertSame([[], [], []], [$page['files'], $page['scene'], $page['asked']]);
        self::assertContains('format.bit_depth', array_column($page['offered'], 'id'));
        self::assertNotContains('render.samples', array_column($page['offered'], 'id'));
        // what cannot be read is told, and nothing is marked
        $lines = static fn (array $values): array => ['lines' => array_map(
            static fn (string $id, string $value): array => ['id' => $id, 'value' => $value],
            array_keys($values),
            $values,
        )];
        $this->post("/practice/{$exercise->id}/specification", $lines(['picture.resolution' => 'large']))
            ->assertSessionHasErrors('refused');
        self::assertNull($try->refresh()->marked_at);
        $this->post("/practice/{$exercise->id}/answer", ['balances' => true])->assertNotFound();
        $this->get("/practice/{$exercise->id}/files.zip")->assertNotFound();

        $this->post("/practice/{$exercise->id}/specification", $lines([
            'format.bit_depth' => '16', 'content.black' => 'none', 'time.rate' => '',
        ]))->assertSessionHas('told', '5 of 11 points.');
        $page = $this->page("/practice/{$exercise->id}");
        self::assertSame(['format.bit_depth' => '16', 'content.black' => 'none'], $page['written']);
        self::assertCount(9, $page['marks']['points']);
        $this->post("/practice/{$exercise->id}/specification", $lines([]))->assertSessionHasErrors('refused');
        self::assertSame([], Storage::directories('practice'));
        // another one describes another job
        $next = $this->begun($exercise, $this->artist);
        self::assertNotSame($page['brief'], $this->page("/practice/{$exercise->id}")['brief']);
        self::assertNotSame($try->id, $next->id);
    }

    public function test_each_gets_another_one_and_sees_only_their_own(): void
    {
        $exercise = $this->set(['number' => 2]);
        $folders = array_map(
            fn (User $who): string => Storage::path($this->begun($exercise, $who)->folder()),
            [$this->artist, $this->other],
        );
        self::assertNotSame(
            file_get_contents("{$folders[0]}/specification.json"),
            file_get_contents("{$folders[1]}/specification.json"),
        );
        $zip = $this->actingAs($this->artist)->get("/practice/{$exercise->id}/files.zip")->assertOk();
        self::assertSame("practice-{$exercise->id}.zip", $zip->headers->get('content-disposition') === null
            ? null
            : preg_replace('~.*filename=~', '', (string) $zip->headers->get('content-disposition')));
        $this->actingAs($this->stranger)->get("/practice/{$exercise->id}")->assertForbidden();
        $this->actingAs($this->artist);
        self::assertSame([], $this->page("/productions/{$this->production->id}/practice")['people']);
        self::assertSame(1, $this->page("/productions/{$this->production->id}")['book']['practice']);
    }

    public function test_those_who_decide_see_how_it_went(): void
    {
        $exercise = $this->set(['number' => 1]);
        foreach ([[$this->artist, ['scale-below-full']], [$this->other, []]] as [$who, $causes]) {
            $this->begun($exercise, $who);
            $this->post("/practice/{$exercise->id}/answer", ['balances' => false, 'causes' => $causes]);
        }
        $this->actingAs($this->coordinator);
        $page = $this->page("/productions/{$this->production->id}/practice");

        self::assertSame([['cause' => 'scale-below-full', 'right' => 1, 'of' => 2]], $page['causes']);
        self::assertSame([2, 2], [$page['exercises'][0]['begun'], $page['exercises'][0]['answered']]);
        self::assertSame(['Artist', 'Other'], array_column($page['people'], 'name'));
        self::assertCount(30, $page['ready']);
        $this->delete("/practice/{$exercise->id}")->assertRedirect();
        self::assertSame([0, []], [PracticeTry::query()->count(), Storage::directories('practice')]);
    }

    public function test_what_cannot_be_set_is_told(): void
    {
        $this->actingAs($this->coordinator);
        $set = fn (array $what) => $this->post("/productions/{$this->production->id}/practice", $what);
        $set(['number' => 31])->assertSessionHasErrors('number');
        $set(['title' => ''])->assertSessionHasErrors('title');
        $set(['title' => 'x', 'mistakes' => ['gravity']])->assertSessionHasErrors('mistakes.0');
        $set(['title' => 'x', 'mistakes' => ['last-frame-left-out', 'cut-short']])->assertSessionHasErrors([
            'refused' => '“last-frame-left-out, cut-short” hide each other: together they cannot be told apart.',
        ]);
        self::assertSame([0, []], [PracticeExercise::query()->count(), Storage::directories('practice')]);
        $exercise = $this->set(['title' => 'All well', 'mistakes' => []]);
        $this->begun($exercise, $this->artist);
        $this->post("/practice/{$exercise->id}/answer", ['balances' => false, 'render' => '10-'])
            ->assertSessionHasErrors('render');
        $this->post("/practice/{$exercise->id}/answer", ['balances' => true])
            ->assertSessionHas('told', '1 of 1 points.');
    }

    public function test_files_that_are_gone_are_made_again_the_same(): void
    {
        $try = $this->begun($this->set(['number' => 13]), $this->artist);
        $sums = static fn (): array => array_map(
            static fn (string $f): string => basename($f).md5_file($f),
            glob(Storage::path($try->folder()).'/files/*') ?: [],
        );
        $before = $sums();
        Storage::deleteDirectory($try->folder());
        $this->get("/practice/{$try->practice_exercise_id}")->assertOk();

        self::assertSame($before, $sums());
        self::assertNotSame([], $before);
    }
}
