<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Feature\Support\LedgerTestCase;

/** One field finds whatever bears a word, as far as its reader may see it. */
final class FindingTest extends LedgerTestCase
{
    /** @return list<array{string, string}> kind and what it says */
    private function found(string $text): array
    {
        $found = $this->getJson('/find?q='.urlencode($text))->assertOk()->json();

        return array_map(static fn (array $f): array => [$f['kind'], $f['says']], $found);
    }

    public function test_deliverables_people_and_productions(): void
    {
        $this->actingAs($this->coordinator);
        self::assertSame([['deliverable', 'TC_010'], ['deliverable', 'TC_020']], $this->found('a shot'));
        self::assertSame([['deliverable', 'TC_020']], $this->found('tc_02'));
        self::assertSame([['production', 'The Tide Clock']], $this->found('tide'));
        self::assertSame([['person', 'Artist']], $this->found('artist@'));
        self::assertSame([], $this->found(''));
        // signs of a pattern are signs
        self::assertSame([], $this->found('%'));
        self::assertSame([['deliverable', 'TC_010'], ['deliverable', 'TC_020']], $this->found('C_0'));
        self::assertSame([], $this->found("'; drop table users; --"));
        $this->getJson('/find?q[]=x')->assertOk()->assertExactJson([]);
    }

    public function test_each_finds_only_what_is_open_to_them(): void
    {
        $this->actingAs($this->artist);
        self::assertSame([['deliverable', 'TC_010']], $this->found('TC_0'));
        self::assertSame([], $this->found('Coordinator'));
        $this->actingAs($this->stranger);
        self::assertSame([], $this->found('TC'));
        auth()->logout();
        $this->getJson('/find?q=TC')->assertUnauthorized();
    }

    public function test_what_is_wrong_is_found_by_its_cause(): void
    {
        $this->actingAs($this->artist)->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ]);
        $found = $this->getJson('/find?q=render+stopped')->json();
        self::assertSame(
            ['deliverable TC_010 render stopped, The Tide Clock', 'cause render stopped '],
            array_map(static fn (array $f): string => "{$f['kind']} {$f['says']} {$f['more']}", $found),
        );
        // what was put away is found no more
        $this->actingAs($this->coordinator)->post("/deliverables/{$this->deliverable->id}/away");
        self::assertSame([['cause', 'render stopped']], $this->found('render stopped'));
    }

    public function test_what_is_asked_is_found_where_it_stands(): void
    {
        $of = "/deliverables/{$this->deliverable->id}/specification";
        $find = "/find?q=resolution&deliverable={$this->deliverable->id}";
        self::assertSame(
            [['requirement', "{$of}#-picture.resolution"]],
            array_map(
                static fn (array $f): array => [$f['kind'], $f['url']],
                (array) $this->actingAs($this->artist)->getJson($find)->assertOk()->json(),
            ),
        );
        // of what is another's nothing is told
        self::assertSame([], $this->actingAs($this->other)->getJson($find)->assertOk()->json());
    }
}
