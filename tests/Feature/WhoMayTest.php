<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** Every route, with every kind of visitor. */
final class WhoMayTest extends LedgerTestCase
{
    /** @return iterable<string, array{string, string, array<string, int>, 3?: array<string, mixed>}> method, path, and what each gets */
    public static function routes(): iterable
    {
        $all = ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 200, 'coordinator' => 200];
        yield 'productions' => ['get', '/', ['guest' => 302, 'stranger' => 200, 'artist' => 302, 'coordinator' => 302]];
        yield 'a production' => ['get', '/productions/P', ['guest' => 302, 'stranger' => 403, 'artist' => 200, 'coordinator' => 200]];
        yield 'a new deliverable' => ['get', '/productions/P/deliverables/new', ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 200]];
        yield 'adding one' => ['post', '/productions/P/deliverables', ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 302], ['code' => 'TC_030']];
        yield 'specification' => ['get', '/deliverables/D/specification', $all];
        yield 'scene' => ['get', '/deliverables/D/scene', $all];
        yield 'frames' => ['get', '/deliverables/D/frames', $all];
        yield 'changing what is asked' => ['patch', '/deliverables/D/requirements', ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 403, 'coordinator' => 302], ['id' => 'time.rate', 'value' => '25', 'level' => 'must', 'scope' => 'deliverable']];
        yield 'understanding a value' => ['post', '/deliverables/D/understand', ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 200], ['id' => 'time.rate', 'value' => '25']];
        yield 'browsing the intake' => ['get', '/deliverables/D/intake?root=R', $all];
        yield 'dropping a scene' => ['post', '/deliverables/D/scene', ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302]];
        yield 'checking a folder' => ['post', '/deliverables/D/checks', ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302], ['root' => 'R', 'below' => '', 'depth' => 'quick']];
        yield 'a past check' => ['get', '/checks/C', $all];
        yield 'its progress' => ['get', '/checks/C/progress', $all];
        yield 'a picture of one frame' => ['get', '/checks/C/pictures/frames/1001', $all];
        yield 'its report' => ['get', '/checks/C/report.json', $all];
        yield 'stopping it' => ['post', '/checks/C/stop', ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302]];
    }

    /** @param  array<string, int>  $expected */
    #[DataProvider('routes')]
    public function test_each_route_lets_in_whom_it_should(string $method, string $path, array $expected, array $data = []): void
    {
        $this->actingAs($this->artist)->post("/deliverables/{$this->deliverable->id}/checks", ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick']);
        $check = Check::query()->firstOrFail();
        $path = strtr($path, ['/P' => "/{$this->production->id}", '/D' => "/{$this->deliverable->id}", '/C' => "/{$check->id}", 'root=R' => 'root='.$this->root()]);
        $data = array_map(fn (mixed $v): mixed => $v === 'R' ? $this->root() : $v, $data);

        foreach ($expected as $who => $status) {
            auth()->logout();
            $this->flushSession();
            if ($who !== 'guest') {
                $this->actingAs($this->{$who});
            }
            $response = $this->call(strtoupper($method), $path, $data);
            self::assertSame($status, $response->status(), "{$method} {$path} as {$who}");
            if ($who === 'guest') {
                $response->assertRedirect('/sign-in');
            }
        }
    }

    public function test_every_route_of_the_application_stands_in_this_test(): void
    {
        $known = array_map(static fn (array $r): string => strtoupper($r[0]).' '.strtr(explode('?', $r[1])[0], ['/productions/P' => '/productions/{production}', '/deliverables/D' => '/deliverables/{deliverable}', '/checks/C' => '/checks/{check}', 'report.json' => 'report.{format}', 'pictures/frames/1001' => 'pictures/{part}/{frame}']), iterator_to_array(self::routes()));
        $known = [...array_values($known), 'GET /sign-in', 'POST /sign-in', 'POST /sign-out', 'GET /up', 'GET /deliverables/{deliverable}'];
        $there = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $there[] = $route->methods()[0].' /'.ltrim($route->uri(), '/');
        }

        self::assertSame([], array_values(array_diff($there, $known)));
    }

    public function test_an_artist_sees_only_what_is_theirs(): void
    {
        $this->actingAs($this->artist);
        self::assertSame(['TC_010'], array_column($this->page("/productions/{$this->production->id}")['book']['index'], 'code'));
        $this->actingAs($this->coordinator);
        self::assertSame(['TC_010', 'TC_020'], array_column($this->page("/productions/{$this->production->id}")['book']['index'], 'code'));
    }
}
