<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\User;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Nobody looks outside their part of the intake. */
final class IntakeTest extends LedgerTestCase
{
    private function browse(string $below, ?User $as = null): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($as ?? $this->artist)->getJson(
            "/deliverables/{$this->deliverable->id}/intake?"
                .http_build_query(['root' => $this->root(), 'below' => $below]),
        );
    }

    public function test_an_artist_starts_in_their_own_part(): void
    {
        $this->browse('')->assertOk()->assertJson(['below' => 'TC_010', 'folders' => ['v1'], 'files' => 0]);
        $this->browse('TC_010/v1')
            ->assertOk()
            ->assertJson(
                [
                    'files' => 6,
                    'sample' => ['TC_010.1001.png', 'TC_010.1002.png', 'TC_010.1003.png', 'TC_010.1004.png'],
                ],
            );
    }

    public function test_a_coordinator_sees_every_part(): void
    {
        $this->browse('', $this->coordinator)->assertOk()->assertJson(['folders' => ['TC_010', 'TC_020']]);
    }

    public function test_the_browser_of_folders_opens_where_the_files_are_expected(): void
    {
        foreach ([$this->artist, $this->coordinator] as $who) {
            $this->actingAs($who);
            self::assertSame('TC_010', $this->page("/deliverables/{$this->deliverable->id}/frames")['roots'][0]['own']);
        }
        $this->deliverable->update(['code' => 'TC_099']);
        self::assertSame('', $this->page("/deliverables/{$this->deliverable->id}/frames")['roots'][0]['own']);
    }

    /** @return iterable<string, array{string}> */
    public static function outside(): iterable
    {
        foreach ([
            '..', '.', '/', 'TC_020', 'TC_010/../TC_020', '../elsewhere', 'TC_010/v1/../../TC_020', '/etc', '....//',
            "TC_010/v1\0", 'TC_010/out', 'TC_010/out/..', 'nowhere', '%2e%2e', 'TC_010/v1/TC_010.1001.png',
            str_repeat('a/', 400),
        ] as $path) {
            yield json_encode($path) ?: $path => [$path];
        }
    }

    #[DataProvider('outside')]
    public function test_what_lies_outside_is_refused_without_telling_of_it(string $below): void
    {
        symlink($this->intake->folder.'/elsewhere', $this->intake->folder.'/tide/TC_010/out');
        foreach ([
            fn () => $this->browse($below),
            fn () => $this->actingAs($this->artist)->postJson(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => $below, 'depth' => 'quick'],
            ),
        ] as $try) {
            $response = $try();
            // a trailing zero byte is cut off on the way in, and what is left is theirs
            if ($response->status() === 200 || $response->status() === 302) {
                self::assertContains(rtrim($below, "\0"), ['TC_010/v1', 'TC_010/out/..']);

                continue;
            }
            $response->assertStatus(422);
            self::assertStringNotContainsString($this->intake->folder, (string) $response->getContent());
            self::assertStringNotContainsString('private.txt', (string) $response->getContent());
        }
        self::assertSame(
            0,
            Check::query()->where('state', 'done')
                ->whereNotIn('id', Check::query()->whereIn('order->folder', ['TC_010', 'TC_010/v1'])->pluck('id'))
                ->count(),
        );
    }

    public function test_a_root_of_another_production_is_none_of_this_one(): void
    {
        $foreign = ProductionFactory::new()->create()->intakeRoots()
            ->create(['label' => 'All', 'path' => 'elsewhere']);

        $this->actingAs($this->coordinator)
            ->getJson("/deliverables/{$this->deliverable->id}/intake?root={$foreign->id}")
            ->assertStatus(422);
    }

    public function test_a_root_without_a_place_for_each_is_not_open_to_artists(): void
    {
        $shared = $this->production->intakeRoots()->create(['label' => 'Everything', 'path' => 'tide']);

        $this->actingAs($this->artist)
            ->getJson("/deliverables/{$this->deliverable->id}/intake?root={$shared->id}")
            ->assertStatus(422);
        $this->actingAs($this->coordinator)
            ->getJson("/deliverables/{$this->deliverable->id}/intake?root={$shared->id}")
            ->assertOk();
    }

    public function test_a_link_out_of_the_folder_is_not_followed_by_a_check(): void
    {
        symlink('/etc/passwd', $this->intake->folder.'/tide/TC_010/v1/TC_010.1007.png');
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        $account = Check::query()->latest('id')->firstOrFail()->account();

        self::assertSame('1007', $account['sequences'][0]['damaged']);
        self::assertStringNotContainsString('root:', (string) json_encode($account));
    }
}
