<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Language\Phrase;
use Illuminate\Support\Facades\Lang;
use PlainLedger\Tools\ServerTexts;
use Tests\Feature\Support\LedgerTestCase;

/** What the server says stands in one file, so that another language is another file. */
final class LanguageTest extends LedgerTestCase
{
    /** @return array<string, string> */
    private static function english(): array
    {
        return (new ServerTexts(app_path()))->english();
    }

    public function test_every_sentence_is_in_the_file_and_none_is_left_bare(): void
    {
        $file = json_decode((string) file_get_contents(lang_path('en.json')), true);

        self::assertSame(self::english(), $file);
        self::assertGreaterThan(150, count($file));
        self::assertSame([], (new ServerTexts(app_path()))->bare());
    }

    public function test_another_language_is_told_wherever_somebody_is_told_something(): void
    {
        $texts = [];
        foreach (self::english() as $text) {
            $texts[$text] = '['.str_replace('|', ']|[', $text).']';
        }
        $this->intake->put('lang/de.json', json_encode($texts, JSON_THROW_ON_ERROR));
        Lang::addJsonPath("{$this->intake->folder}/lang");
        app()->setLocale('de');
        $this->actingAs($this->coordinator);
        $about = "/deliverables/{$this->deliverable->id}/about";
        $this->patch($about, ['code' => ''])->assertSessionHasErrors(['code' => '[This is needed.]']);
        $this->patch($about, ['code' => 'TC_020', 'specification' => $this->deliverable->specification_id])
            ->assertSessionHasErrors(['code' => '[This production has a deliverable of that code already; small and '
                .'large letters make no difference.]']);
        $this->patch("/productions/{$this->production->id}/deliverables", [
            'ids' => [$this->deliverable->id, $this->others->id], 'due' => '2031-01-02T03:04',
        ])->assertSessionHas('told', '[2 deliverables changed.]');
        $this->patch("/productions/{$this->production->id}/deliverables", [
            'ids' => [$this->deliverable->id], 'due' => '2032-01-02T03:04',
        ])->assertSessionHas('told', '[1 deliverable changed.]');
        $this->post("/productions/{$this->production->id}/archive")
            ->assertSessionHas('told', '[The Tide Clock is archived: it can be read, and nothing in it changed.]');
    }

    public function test_what_stands_in_a_sentence_is_no_name_for_something_else(): void
    {
        self::assertSame('“:code” is back.', Phrase::of('“:title” is back.', ['title' => ':code', 'code' => 'x']));
        self::assertSame('1,200 files moved.', Phrase::counted(1200, ':count file moved.|:count files moved.'));
    }
}
