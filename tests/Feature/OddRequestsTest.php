<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Specification;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Factories\DeliverableFactory;
use Tests\Feature\Factories\SheetLinkFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Whatever is sent, by somebody who may: an answer or a refusal, never a fault, and nothing half written. */
final class OddRequestsTest extends LedgerTestCase
{
    /** Method, path and what is usually sent. */
    private const REQUESTS = [
        [
            'PATCH',
            '/deliverables/D/requirements',
            [
                'id' => 'time.rate', 'part' => '', 'value' => '25', 'level' => 'must', 'why' => 'so',
                'scope' => 'deliverable', 'drop' => false, 'seen' => 'x',
            ],
        ],
        [
            'PATCH',
            '/deliverables/D/requirements',
            ['id' => 'passes', 'value' => 'a, b', 'level' => 'must', 'scope' => 'specification'],
        ],
        [
            'PATCH',
            '/deliverables/D/requirements',
            ['id' => 'other.fog', 'value' => '1', 'level' => 'should', 'scope' => 'house'],
        ],
        ['POST', '/deliverables/D/understand', ['id' => 'naming.pattern', 'part' => '', 'value' => '{shot}']],
        ['PATCH', '/deliverables/D/values', ['name' => 'version', 'value' => '3']],
        ['POST', '/deliverables/D/presence', []],
        ['POST', '/deliverables/D/sheets', ['days' => 7, 'anyway' => true]],
        ['POST', '/deliverables/D/checks', ['root' => 'R', 'below' => 'TC_010/v1', 'depth' => 'quick']],
        ['GET', '/deliverables/D/intake', ['root' => 'R', 'below' => '']],
        [
            'POST',
            '/productions/P/deliverables',
            [
                'code' => 'TC_090', 'title' => 'x', 'range' => '1-5', 'begin' => 'preset:hd-720', 'root' => 'R',
                'below' => '', 'owner' => 'A', 'due' => '2027-01-01T10:00',
            ],
        ],
        [
            'PATCH',
            '/productions/P/house',
            [
                'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'why' => 'so', 'starting' => false,
                'drop' => false, 'seen' => 'x',
            ],
        ],
        ['POST', '/productions/P/understand', ['id' => 'time.rate', 'value' => '25']],
        [
            'POST',
            '/productions/P/list/read',
            [
                'specification' => 'S', 'text' => "shot,range\nA,1-5\n", 'name' => 'a.csv',
                'columns' => '["code","range"]', 'cells' => '', 'learners' => '', 'code' => '',
            ],
        ],
        [
            'POST',
            '/productions/P/list',
            ['specification' => 'S', 'text' => "shot,range\nA,1-5\n", 'seal' => 'x', 'columns' => '["code","range"]'],
        ],
        [
            'POST',
            '/productions/P/together/read',
            ['deliverables' => ['D'], 'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'drop' => false],
        ],
        [
            'POST',
            '/productions/P/together',
            ['deliverables' => ['D'], 'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'drop' => false],
        ],
        ['GET', '/productions/P/reference', ['root' => 'R', 'below' => '']],
        ['POST', '/productions/P/reference', ['root' => 'R', 'below' => 'TC_010/v1', 'code' => 'TC_010']],
        ['POST', '/productions/P/presets', ['title' => 'Ours', 'specification' => 'S']],
        ['PATCH', '/presets/Q', ['title' => 'Theirs']],
        ['GET', '/specifications/S', ['from' => 1, 'to' => 1]],
        ['PATCH', '/specifications/S', ['title' => 'Lit']],
        [
            'POST',
            '/specifications/S/parts',
            ['does' => 'add', 'name' => 'preview', 'to' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames'],
        ],
        [
            'POST',
            '/specifications/S/parts',
            ['does' => 'rename', 'name' => 'frames', 'to' => 'reel', 'delivers' => 'movie'],
        ],
        ['POST', '/specifications/S/recheck', []],
        ['POST', '/calculate', ['word' => 'scales', 'given' => ['size' => '1x1', 'percent' => '50']]],
        ['POST', '/changes/X/undo', []],
        ['POST', '/deliverables/D/scene', ['pasted' => "fps = 24\nBildrate = 25\n", 'name' => 'x']],
        [
            'POST',
            '/deliverables/D/scene/try',
            ['typed' => ['time.rate' => '24', 'passes' => 'a=yes', 'camera.chosen' => 'a, b']],
        ],
        ['POST', '/deliverables/D/scene/typed', ['typed' => ['time.rate' => '24']]],
        [
            'POST',
            '/deliverables/D/scene/names',
            ['name' => 'Bildrate', 'is' => 'time.rate', 'unit' => '', 'word' => '25', 'stands' => '24', 'all' => true],
        ],
        [
            'POST',
            '/deliverables/D/ticks',
            ['fix' => 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa', 'done' => true],
        ],
        ['PATCH', '/deliverables/D/render', ['times' => '60 s', 'size' => '2 MB']],
        ['GET', '/deliverables/D/logs', ['root' => 'R', 'below' => '']],
        [
            'POST',
            '/deliverables/D/logs/follow',
            ['root' => 'R', 'below' => 'TC_010/v1', 'file' => 'r.log', 'shape' => 'x'],
        ],
        [
            'POST',
            '/checks/C/waivers',
            ['id' => 'time.range', 'part' => 'frames', 'pass' => null, 'reason' => 'agreed', 'all' => false],
        ],
        ['POST', '/productions/P/outbox', ['deliverables' => ['D']]],
        [
            'POST',
            '/productions/P/scenes',
            ['scenes' => [['deliverable' => 1, 'label' => 'x', 'content' => 'fps = 24']]],
        ],
        ['POST', '/productions/P/plan', ['machines' => 2, 'hours' => '19:00-7:00', 'times' => '60 s']],
        ['PATCH', '/productions/P/pool', ['machines' => 2, 'hours' => '19:00-7:00']],
        [
            'PATCH',
            '/productions/P/names',
            ['name' => 'Bildrate', 'is' => 'time.rate', 'unit' => '', 'words' => ['a' => 'b'], 'drop' => false],
        ],
        [
            'POST',
            '/productions/P/log-shapes/try',
            ['patterns' => [['event' => 'finished', 'pattern' => 'ok {frame}']], 'sample' => "ok 5\n"],
        ],
        [
            'POST',
            '/productions/P/log-shapes',
            [
                'name' => 'ours',
                'was' => '',
                'patterns' => [['event' => 'finished', 'pattern' => 'ok {frame}']],
                'drop' => false,
            ],
        ],
        ['POST', '/tokens', ['name' => 'mine', 'days' => 5]],
    ];

    /** @return list<mixed> */
    private static function odd(): array
    {
        return [
            null, '', ' ', [], ['x'], ['a' => ['b' => 'c']], [[[]]], true, 0, -1, 1.5, PHP_INT_MAX,
            '9999999999999999999999', "\0", "a\0b", "\n\r\t", "\u{202E}gpj.exe", "\u{FEFF}",
            '<script>alert(1)</script>',
            '../../../etc/passwd', '/etc/passwd', 'C:\\x', '{', '{}', '[', '[]', '{"a":1}', '{frame', '{frame:999}',
            '{{}}', '=1+1', "' or 1=1 --", '%00', '%s%s%n', '1-1000000000000', '0x0', '-0', '1e400', 'NaN',
            str_repeat('x', 3000), str_repeat('{shot}', 500), str_repeat('1,', 1500), str_repeat('ä', 900),
        ];
    }

    /** @return iterable<string, array{int}> */
    public static function requests(): iterable
    {
        foreach (self::REQUESTS as $n => [$method, $path, $data]) {
            yield "{$method} {$path} ".implode(
                ' ',
                array_filter([$data['id'] ?? null, $data['does'] ?? null], is_string(...)),
            ) => [$n];
        }
    }

    #[DataProvider('requests')]
    public function test_no_field_brings_it_down(int $n): void
    {
        [$method, $path, $usual] = self::REQUESTS[$n];
        // the queue's scans and the count of requests a minute are other tests' matter
        $this->withoutMiddleware(\Illuminate\Routing\Middleware\ThrottleRequests::class);
        $this->actingAs($this->coordinator);
        $preset = $this->production->presets()->create(['title' => 'Mine', 'document' => []]);
        $change = app(ChangeRequirement::class)->run(
            ChangedLayer::deliverable($this->deliverable),
            '',
            'render.samples',
            '"4"',
            $this->coordinator,
        );
        $this->deliverable->scenes()->create(['file_name' => 'a.txt', 'content' => "fps = 24\nBildrate = 24\n"]);
        $this->json('POST', "/deliverables/{$this->deliverable->id}/scene", ['pasted' => "fps = 24\n"]);
        $path = strtr(
            $path,
            [
                '/C' => '/'.Check::query()->firstOrFail()->id,
                '/S' => "/{$this->deliverable->specification_id}",
                '/Q' => "/{$preset->id}",
                '/X' => "/{$change?->id}",
                '/P' => "/{$this->production->id}",
                '/D' => "/{$this->deliverable->id}",
            ],
        );
        $usual = array_map(fn (mixed $v): mixed => match ($v) {
            'R' => $this->root(),
            'S' => $this->deliverable->specification_id,
            'A' => $this->artist->id,
            ['D'] => [$this->deliverable->id],
            default => $v,
        }, $usual);
        self::assertContains($this->sent($method, $path, $usual)->status(), [200, 302, 422], 'as it is usually sent');
        self::assertSame([], $this->faults($method, $path, $usual));
        // and the book can still be opened, where anything was sent that could change it
        foreach ($method === 'GET' ? [] : [
            "/deliverables/{$this->deliverable->id}/specification",
            "/deliverables/{$this->deliverable->id}/hand-out",
            "/productions/{$this->production->id}",
            "/productions/{$this->production->id}/house",
            "/specifications/{$this->deliverable->specification_id}",
            "/productions/{$this->production->id}/together",
            "/deliverables/{$this->deliverable->id}/scene",
            "/deliverables/{$this->deliverable->id}/scene/enter",
            "/deliverables/{$this->deliverable->id}/render",
            "/productions/{$this->production->id}",
            "/productions/{$this->production->id}/outbox",
            "/productions/{$this->production->id}/render",
            "/productions/{$this->production->id}/names",
            '/tokens',
        ] as $page) {
            $this->get($page)->assertOk();
        }
    }

    /**
     * @param  array<string, mixed>  $usual
     * @return list<string> what brings it down, and how
     */
    private function faults(string $method, string $path, array $usual): array
    {
        $faults = [];
        foreach ($usual === [] ? ['nothing'] : array_keys($usual) as $field) {
            foreach (self::odd() as $odd) {
                $response = $this->sent($method, $path, [$field => $odd] + $usual);
                if ($response->status() >= 500) {
                    $faults[] = "{$field} = "
                        .mb_strimwidth((string) json_encode($odd, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 80, '…')
                        .": {$response->status()} "
                        .mb_strimwidth((string) $response->exception?->getMessage(), 0, 160, '…');
                }
            }
        }

        return $faults;
    }

    /** @param  array<string, mixed>  $data */
    private function sent(string $method, string $path, array $data): TestResponse
    {
        return $method === 'GET'
            ? $this->call('GET', $path, $data, [], [], ['HTTP_ACCEPT' => 'application/json'])
            : $this->json($method, $path, $data);
    }

    public function test_files_that_are_not_what_they_should_be(): void
    {
        $this->actingAs($this->coordinator);
        $bombs = [
            'empty' => '',
            'bytes' => random_bytes(4000),
            'deep' => str_repeat('[', 5000).str_repeat(']', 5000),
            'half' => '{"format": "plain-ledger/specification", "version": 1, "require": {',
            'another' => '{"format": "plain-ledger/scene", "version": 1, "settings": {}}',
            'later' => '{"format": "plain-ledger/specification", "version": 9, "require": {}}',
            'list' => '[1, 2]',
            'number' => '7',
            'UTF-16' => mb_convert_encoding('{"format": "x"}', 'UTF-16', 'UTF-8'),
            'many' => (string) json_encode(
                [
                    'format' => 'plain-ledger/specification',
                    'version' => 1,
                    'delivers' => 'frames',
                    'require' => array_combine(
                        array_map(static fn (int $i): string => "other.fact_{$i}", range(1, 5000)),
                        array_fill(0, 5000, 1),
                    ),
                ],
            ),
            'parts' => (string) json_encode(
                [
                    'format' => 'plain-ledger/specification',
                    'version' => 1,
                    'parts' => array_fill(0, 2000, ['name' => 'a', 'delivers' => 'frames']),
                ],
            ),
        ];
        foreach ($bombs as $what => $bytes) {
            $made = Deliverable::query()->count();
            $response = $this->post(
                "/productions/{$this->production->id}/deliverables",
                [
                    'code' => 'TC_'.preg_replace('~\W~', '', $what),
                    'document' => UploadedFile::fake()->createWithContent('spec.json', $bytes),
                ],
                ['Accept' => 'application/json'],
            );
            self::assertLessThan(500, $response->status(), $what);
            // either it stands there whole, or there is none
            self::assertSame(
                $response->status() < 400 ? $made + 1 : $made,
                Deliverable::query()->count(),
                "{$what}: {$response->status()}",
            );
            self::assertSame(
                Deliverable::query()->distinct()->count('specification_id'),
                Specification::query()->count(),
                $what,
            );
        }
        self::assertContains(
            'TC_many',
            Deliverable::query()->pluck('code')->all(),
            'five thousand requirements are many, and no mistake',
        );
        $this->get(
            '/deliverables/'.Deliverable::query()->where('code', 'TC_many')->firstOrFail()->id.'/specification',
        )->assertOk();
    }

    public function test_a_list_is_written_whole_or_not_at_all(): void
    {
        $this->actingAs($this->coordinator);
        $csv = "shot,range\nTC_101,1-5\nTC_102,1-6\nTC_103,1-7\n";
        $data = ['specification' => $this->deliverable->specification_id, 'text' => $csv];
        $seal = $this->postJson("/productions/{$this->production->id}/list/read", $data)->assertOk()->json('seal');
        // somebody makes one of them meanwhile: what was agreed to does not hold any more
        DeliverableFactory::beside($this->deliverable)->named('TC_102')->create();
        $this->from('/x')
            ->post("/productions/{$this->production->id}/list", $data + ['seal' => $seal])
            ->assertSessionHasErrors('file');
        self::assertSame(['TC_010', 'TC_020', 'TC_102'], Deliverable::query()->orderBy('code')->pluck('code')->all());

        // a fault in the middle of writing takes back what was written before it
        Deliverable::creating(static function (Deliverable $deliverable): void {
            if ($deliverable->code === 'TC_103') {
                throw new \RuntimeException('the disk is full');
            }
        });
        $seal = $this->postJson("/productions/{$this->production->id}/list/read", $data)->json('seal');
        $this->withExceptionHandling()
            ->post("/productions/{$this->production->id}/list", $data + ['seal' => $seal])
            ->assertStatus(500);
        self::assertSame(['TC_010', 'TC_020', 'TC_102'], Deliverable::query()->orderBy('code')->pluck('code')->all());
        self::assertSame([], Deliverable::query()->where('code', 'TC_102')->firstOrFail()->overrides);
        Deliverable::flushEventListeners();
    }

    public function test_markup_in_names_comes_out_as_text(): void
    {
        $markup = '<img src=x onerror=alert(1)>';
        $this->deliverable->update(
            ['title' => $markup, 'overrides' => ['camera.name' => $markup, 'other.note' => "\"'>{$markup}"]],
        );
        $this->actingAs($this->coordinator);
        $link = SheetLinkFactory::to($this->deliverable)->create();
        foreach ([
            "/deliverables/{$this->deliverable->id}/sheet.html",
            "/deliverables/{$this->deliverable->id}/specification",
            "/deliverables/{$this->deliverable->id}/hand-out",
            $link->path(),
        ] as $url) {
            $body = (string) $this->get($url)->assertOk()->getContent();
            self::assertStringNotContainsString($markup, $body, $url);
            self::assertStringContainsString('onerror', $body, $url);
        }
        self::assertStringNotContainsString(
            "\n{$markup}",
            (string) $this->get("/deliverables/{$this->deliverable->id}/sheet.md")->getContent(),
        );
    }

    public function test_a_check_of_another_production_is_not_reached_through_ones_own(): void
    {
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        $check = Check::query()->firstOrFail();
        $this->actingAs($this->other);
        foreach ([
            "/checks/{$check->id}",
            "/checks/{$check->id}/report.json",
            "/checks/{$check->id}/progress",
            "/checks/{$check->id}/pictures/frames/1001",
        ] as $url) {
            $this->get($url)->assertForbidden();
        }
        foreach ([
            '/checks/0', '/checks/999999', '/checks/99999999999999999999', '/deliverables/999/specification',
            '/productions/999', '/specifications/999', '/presets/abc',
        ] as $url) {
            self::assertContains($this->get($url)->status(), [404, 405], $url);
        }
    }
}
