<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** Whatever is broken off between any two writes is there as a whole, or not at all. */
final class BetweenWritesTest extends LedgerTestCase
{
    private const TABLES = [
        'checks', 'deliveries', 'waivers', 'ticks', 'deliverables', 'parts', 'changes', 'specification_revisions',
        'scenes',
    ];

    /** @return iterable<string, array{\Closure(self): void}> */
    public static function actions(): iterable
    {
        yield 'a check of a folder' => [static function (self $test): void {
            $test->actingAs($test->artist)->post(
                "/deliverables/{$test->deliverable->id}/checks",
                ['root' => $test->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            );
        }];
        yield 'an import of a list' => [static function (self $test): void {
            $file = "code,range,title\nTC_010,1001-1020,changed\nTC_101,1-10,one\nTC_102,1-20,two\n";
            $given = ['specification' => $test->deliverable->specification_id, 'text' => $file, 'name' => 'list.csv'];
            $seal = $test->actingAs($test->coordinator)
                ->postJson("/productions/{$test->production->id}/list/read", $given)
                ->json('seal');
            $test->post("/productions/{$test->production->id}/list", $given + ['seal' => $seal]);
        }];
        yield 'one value of many' => [static function (self $test): void {
            $ids = [$test->deliverable->id, $test->others->id];
            $test->actingAs($test->coordinator)->post(
                "/productions/{$test->production->id}/together",
                ['deliverables' => $ids, 'id' => 'time.range', 'value' => '1-33', 'level' => 'must'],
            );
        }];
        yield 'settings of a scene' => [static function (self $test): void {
            $test->actingAs($test->artist)->post(
                "/deliverables/{$test->deliverable->id}/scene",
                ['pasted' => "resolution = 64x36\nformat = png", 'name' => 'scene.txt'],
            );
        }];
    }

    /** @param  \Closure(self): void  $act */
    #[DataProvider('actions')]
    public function test_all_of_it_or_nothing(\Closure $act): void
    {
        $stop = new class
        {
            /** writes still to be let through; null while nothing is stopped */
            public ?int $after = null;

            public function hasStopped(): bool
            {
                return $this->after === null;
            }
        };
        DB::connection()->beforeExecuting(static function (string $sql) use ($stop): void {
            if ($stop->after === null || preg_match('~^\s*(?:insert|update|delete)\b~i', $sql) !== 1) {
                return;
            }
            if ($stop->after-- === 0) {
                $stop->after = null;
                throw new \RuntimeException('The machine stopped here.');
            }
        });
        for ($broken = 0; $broken < 100; $broken++) {
            DB::beginTransaction();
            $before = $this->state();
            $stop->after = $broken;
            $act($this);
            $stopped = $stop->hasStopped();
            $stop->after = null;
            $after = $this->state();
            DB::rollBack();
            if (! $stopped) {
                self::assertNotEquals($before, $after, 'Nothing was done at all.');
                break;
            }
            $this->assertWhole($before, $after, "stopped after {$broken} writes");
        }
        self::assertGreaterThan(1, $broken);
    }

    /**
     * @param  array<string, list<object>>  $before
     * @param  array<string, list<object>>  $after
     */
    private function assertWhole(array $before, array $after, string $when): void
    {
        // an upload that is kept before it is checked, and a check that broke off, are told as such and change nothing
        foreach ($after['checks'] as $check) {
            self::assertSame($check->state === 'done', $check->document !== null, $when);
            self::assertContains($check->state, ['done', 'failed', 'queued'], $when);
            if ($check->state !== 'done') {
                self::assertNull($check->delivery_id, $when);
            }
        }
        foreach ($after['deliveries'] as $delivery) {
            self::assertContains($delivery->id, array_column($after['checks'], 'delivery_id'), $when);
        }
        foreach (['deliverables', 'parts', 'changes', 'waivers', 'ticks'] as $table) {
            self::assertEquals($before[$table], $after[$table], "{$table}, {$when}");
        }
    }

    /** @return array<string, list<object>> */
    private function state(): array
    {
        $state = [];
        foreach (self::TABLES as $table) {
            $state[$table] = DB::table($table)->orderBy('id')->get()->all();
        }

        return $state;
    }
}
