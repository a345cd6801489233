<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SheetLink;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Specification\Specification;
use Tests\Feature\Factories\SheetLinkFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Sheets and the links to them. */
final class HandingOutTest extends LedgerTestCase
{
    public function test_a_sheet_in_every_form(): void
    {
        $this->actingAs($this->artist);
        foreach ([
            'html' => 'text/html', 'md' => 'text/markdown', 'txt' => 'text/plain', 'csv' => 'text/csv',
            'usda' => 'text/plain', 'json' => 'application/json', 'pdf' => 'application/pdf',
        ] as $format => $type) {
            $response = $this->get("/deliverables/{$this->deliverable->id}/sheet.{$format}")->assertOk();
            self::assertStringStartsWith($type, (string) $response->headers->get('Content-Type'));
            self::assertStringContainsString(
                "TC_010-sheet.{$format}",
                (string) $response->headers->get('Content-Disposition'),
            );
        }
        $this->get("/deliverables/{$this->deliverable->id}/sheet.html")
            ->assertSee('TC_010, a shot')
            ->assertSee('Each picture is 64 × 36 pixels.');
        $this->get("/deliverables/{$this->deliverable->id}/sheet.exe")->assertNotFound();
        $document = JsonDocument::parse(
            (string) $this->get("/deliverables/{$this->deliverable->id}/sheet.json")->getContent(),
            'sheet.json',
            Specification::FORMAT,
        );
        self::assertSame('1001-1010', Specification::fromDocument($document)->parts[0]->single('time.range'));
    }

    public function test_a_sheet_is_printed_to_one_page(): void
    {
        $pdf = (string) $this->actingAs($this->artist)
            ->get("/deliverables/{$this->deliverable->id}/sheet.pdf")
            ->getContent();
        self::assertStringStartsWith('%PDF-', $pdf);
        self::assertSame(1, preg_match_all('~/Type\s*/Page\b~', $pdf));
    }

    public function test_a_link_opens_until_it_is_taken_back(): void
    {
        $this->actingAs($this->coordinator)
            ->post("/deliverables/{$this->deliverable->id}/sheets", ['days' => 7])
            ->assertSessionHasNoErrors();
        $link = SheetLink::query()->firstOrFail();
        $path = $link->path();
        auth()->logout();
        $this->flushSession();
        $this->get($path)->assertOk()->assertSee('TC_010')->assertHeader('X-Robots-Tag', 'noindex');
        self::assertSame(1, $link->fresh()?->opened);
        $this->get("/sheets/{$link->id}")->assertForbidden()->assertSee('was not copied whole');
        $this->get(str_replace("/sheets/{$link->id}", '/sheets/'.($link->id + 1), $path))->assertForbidden();
        $this->get("{$path}x")->assertForbidden();

        $this->actingAs($this->coordinator)->delete("/sheets/{$link->id}")->assertRedirect();
        $this->get($path)->assertForbidden()->assertSee('It was taken back.');
    }

    public function test_a_link_ends_by_itself(): void
    {
        $link = SheetLinkFactory::to($this->deliverable)->create();
        $path = $link->path();
        Carbon::setTestNow(Carbon::now()->addDays(2));
        $this->get($path)->assertForbidden()->assertSee('Its time is over.');
        Carbon::setTestNow();
    }

    public function test_nothing_that_contradicts_itself_is_handed_out_unnoticed(): void
    {
        $this->deliverable->update(['overrides' => ['time.range' => '1-20000']]);
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->post("/deliverables/{$this->deliverable->id}/sheets", ['days' => 7])
            ->assertSessionHasErrors('days');
        $this->post(
            "/deliverables/{$this->deliverable->id}/sheets",
            ['days' => 7, 'anyway' => true],
        )->assertSessionHasNoErrors();
        $this->get(
            "/deliverables/{$this->deliverable->id}/sheet.html",
        )->assertSee('Not settled yet: Frame 20000 needs 5 digits');
        self::assertSame(
            [['naming.pattern', 'time.range']],
            array_column($this->page("/deliverables/{$this->deliverable->id}/hand-out")['conflicts'], 'requirements'),
        );
        $this->post(
            "/deliverables/{$this->deliverable->id}/sheets",
            ['days' => 0, 'anyway' => true],
        )->assertSessionHasErrors('days');
    }

    public function test_an_artist_sees_no_links(): void
    {
        SheetLinkFactory::to($this->deliverable)->create();
        self::assertSame(
            [],
            $this->actingAs($this->artist)->page("/deliverables/{$this->deliverable->id}/hand-out")['links'],
        );
        self::assertCount(
            1,
            $this->actingAs($this->coordinator)->page("/deliverables/{$this->deliverable->id}/hand-out")['links'],
        );
    }
}
