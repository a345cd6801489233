<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Requests\Production\BroughtRequest;
use Tests\Feature\Support\LedgerTestCase;

/** Whatever is dropped: what it is, and whose. */
final class BringTest extends LedgerTestCase
{
    /**
     * @param  array<string, string>  $files  contents by name
     * @return list<array<string, mixed>>
     */
    private function look(array $files): array
    {
        $sent = [];
        foreach ($files as $name => $content) {
            $sent[] = ['name' => $name, 'size' => strlen($content), 'head' => base64_encode($content), 'tail' => ''];
        }

        return $this->postJson("/productions/{$this->production->id}/bring", ['files' => $sent])
            ->assertOk()->json('files');
    }

    public function test_each_thing_is_known_and_finds_its_deliverable(): void
    {
        $this->actingAs($this->coordinator);
        $found = $this->look([
            'friday/TC_010_light.txt' => "resolution = 64x36\nfps = 24\n",
            'TC_020/beauty.1001.png' => (string) file_get_contents(base_path('tests/fixtures/encoders/rgb8.png')),
            'beauty.1002.png' => (string) file_get_contents(base_path('tests/fixtures/encoders/rgb8.png')),
            'TC_010 and TC_020.txt' => "resolution = 64x36\nfps = 24\n",
            'roster.csv' => "name,mail\nWren,wren@practice.example\n",
            '<b>.txt' => 'nothing',
        ]);
        self::assertSame(
            [
                ['settings', $this->deliverable->id, []],
                ['pictures', $this->others->id, []],
                ['pictures', null, []],
                ['settings', null, [$this->deliverable->id, $this->others->id]],
                ['people', null, []],
                ['unknown', null, []],
            ],
            array_map(static fn (array $f): array => [$f['kind'], $f['deliverable'], $f['perhaps']], $found),
        );
        self::assertSame([['name' => 'Wren', 'email' => 'wren@practice.example']], $found[4]['people']);
    }

    public function test_an_artist_brings_for_what_is_theirs(): void
    {
        $this->actingAs($this->artist);
        $settings = "fps = 24\nscale = 50\n";
        $found = $this->look(['TC_020.txt' => $settings, 'TC_010.txt' => $settings]);
        self::assertSame([null, $this->deliverable->id], array_column($found, 'deliverable'));
        $page = $this->page("/productions/{$this->production->id}/bring");
        self::assertSame(['TC_010'], array_column($page['deliverables'], 'code'));
    }

    public function test_what_is_sent_is_bounded_and_may_lie(): void
    {
        $this->actingAs($this->coordinator);
        $to = "/productions/{$this->production->id}/bring";
        $one = ['name' => 'a.exr', 'size' => 1 << 50, 'head' => base64_encode('x'), 'tail' => base64_encode('y')];
        $this->postJson($to, ['files' => [$one]])->assertOk()->assertJsonPath('files.0.kind', 'unknown');
        $this->postJson($to, ['files' => [['size' => -1] + $one]])->assertUnprocessable();
        $this->postJson($to, ['files' => [['head' => '%%%'] + $one]])->assertUnprocessable();
        $this->postJson($to, ['files' => array_fill(0, BroughtRequest::MOST + 1, $one)])->assertUnprocessable();
        $this->postJson($to, ['files' => []])->assertUnprocessable();
        $this->postJson($to, ['files' => [['name' => ['x']] + $one]])->assertUnprocessable();
    }
}
