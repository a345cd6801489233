<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Json\CanonicalJson;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Submission\FilesSince;
use PlainLedger\Core\Submission\HistoryChain;
use PlainLedger\Core\Submission\HistoryEntry;
use PlainLedger\Core\Submission\Obstacle;
use PlainLedger\Core\Submission\Readiness;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Core\Support\Workbench;

/** What stands in the way of handing over, and what is kept of it once nothing does. */
final class SubmissionTest extends TestCase
{
    private const REQUIRE = [
        'picture.resolution' => '64x36', 'format.kind' => 'png', 'time.range' => '1-3', 'time.rate' => '24',
        'naming.pattern' => 'a.####.png', 'content.whole' => 'yes',
    ];

    /**
     * @param  array<string, mixed>  $require
     * @return list<array{string, string}> kinds and sentences
     */
    private static function obstacles(Workbench $bench, array $require): array
    {
        $asked = Workbench::specification($require);

        return array_map(
            static fn (Obstacle $o): array => [$o->kind->value, $o->says],
            Readiness::of($bench->check($asked), $asked),
        );
    }

    private static function frames(): Workbench
    {
        return (new Workbench)->frames('a.%04d.png', '1-3', Workbench::png());
    }

    public function test_nothing_is_in_the_way_of_what_balances(): void
    {
        $require = self::REQUIRE;
        unset($require['time.rate']);
        self::assertSame([], self::obstacles(self::frames(), $require));
    }

    public function test_what_no_file_tells_has_to_be_answered_for(): void
    {
        $found = self::obstacles(self::frames(), self::REQUIRE);

        self::assertSame(['open'], array_column($found, 0));
        self::assertStringStartsWith('Frame rate (24) could not be checked: ', $found[0][1]);
        // a *should* need not be
        self::assertSame([], self::obstacles(self::frames(), [
            'time.rate' => ['value' => '24', 'level' => 'should'],
        ] + self::REQUIRE));
    }

    public function test_what_differs_comes_first(): void
    {
        $bench = self::frames()->without('a.0002.png');
        $found = self::obstacles($bench, ['picture.resolution' => '128x72'] + self::REQUIRE);

        self::assertSame(
            ['unbalanced', 'unbalanced', 'open'],
            array_column($found, 0),
            implode("\n", array_column($found, 1)),
        );
        self::assertStringContainsString('asked 128x72, found 64x36', implode("\n", array_column($found, 1)));
    }

    public function test_files_that_were_never_checked(): void
    {
        $asked = Workbench::specification(self::REQUIRE);
        $check = ['entries' => [
            [
                'id' => 'time.rate', 'part' => 'frames', 'level' => 'must', 'mark' => 'equal',
                'scene' => ['mark' => 'equal'],
            ],
        ]];
        $found = Readiness::of($check, $asked);

        self::assertSame('The files were not checked yet.', $found[0]->says);
        self::assertFalse($found[0]->kind->canBeAnswered());
        // what is no document stands in the way of nothing but itself
        self::assertCount(1, Readiness::of(['entries' => 'x', 'not_checked' => [7]], $asked));
    }

    public function test_an_answer_is_for_what_was_asked_then(): void
    {
        $key = static function (string $rate): string {
            $asked = Workbench::specification(['time.rate' => $rate] + self::REQUIRE);
            $found = Readiness::of(self::frames()->check($asked), $asked);

            return $found[0]->line?->key() ?? '';
        };

        self::assertSame($key('24'), $key('24'));
        self::assertNotSame($key('24'), $key('25'));
    }

    private static function sealed(Workbench $bench): Seal
    {
        $run = new SealRun(FolderListing::of($bench->folder), [SumAlgorithm::Sha256]);
        iterator_count($run->steps());

        return $run->result();
    }

    public function test_files_that_were_changed_since_they_were_checked(): void
    {
        $bench = self::frames();
        $checked = $bench->scan();
        self::assertTrue(FilesSince::of($checked, self::sealed($bench->put('all.md5', 'x')))->areTheSame());

        file_put_contents("{$bench->folder}/a.0002.png", Workbench::png());
        touch("{$bench->folder}/a.0002.png", time());
        $bench->put('more.txt', 'x')->without('a.0003.png');
        $since = FilesSince::of($checked, self::sealed($bench));
        self::assertSame(
            [['a.0002.png'], ['more.txt'], ['a.0003.png']],
            [$since->changed, $since->come, $since->gone],
        );
        self::assertSame(
            'Files are others than those that were checked: a.0002.png changed; more.txt new; a.0003.png gone.',
            $since->inWords(),
        );
    }

    /** @return array<string, mixed> */
    private static function content(): array
    {
        return [
            'note' => 'Fog is as agreed. “Ünïcode” / 1',
            'check' => ['verdict' => 'balanced', 'entries' => [], 'empty' => new \stdClass, 'number' => 1.5],
            'files' => [
                ['path' => 'a.0001.png', 'bytes' => 3, 'sums' => ['sha256' => str_repeat('ab', 32), 'md5' => 'x']],
                ['path' => SubmissionRecord::written("b\xff%.png"), 'bytes' => 3, 'sums' => ['md5' => 'cd']],
            ],
        ];
    }

    public function test_a_record_holds_until_a_letter_of_it_is_changed(): void
    {
        $key = RecordKey::of('a secret of 32 bytes, or more....');
        $text = SubmissionRecord::signed(self::content(), $key)->write();
        $record = SubmissionRecord::read($text, 'record.json');

        self::assertTrue($record->holds());
        self::assertSame($key->public, $record->key());
        self::assertSame(
            ['a.0001.png' => ['sha256', str_repeat('ab', 32)], "b\xff%.png" => ['md5', 'cd']],
            $record->sums(),
        );
        // spaces and order are no letters of it
        $again = json_encode(array_reverse((array) json_decode($text, true)), JSON_THROW_ON_ERROR);
        self::assertTrue(SubmissionRecord::read($again, 'x')->holds());
        foreach ([
            ['agreed', 'Agreed'], ['"bytes": 3', '"bytes": 4'], ['balanced', 'unbalanced'],
            ['"signature": "', '"signature": "A'],
        ] as [$from, $to]) {
            self::assertFalse(SubmissionRecord::read(str_replace($from, $to, $text), 'x')->holds(), $to);
        }
        self::assertFalse(SubmissionRecord::read('{"format":"plain-ledger/submission","version":1}', 'x')->holds());
    }

    public function test_a_record_under_another_key_does_not_pass_for_ours(): void
    {
        $ours = RecordKey::of('a secret of 32 bytes, or more....');
        $theirs = RecordKey::of('another secret of 32 bytes, or so');
        $record = SubmissionRecord::signed(self::content(), $theirs);
        self::assertTrue($record->holds());
        self::assertNotSame($ours->public, $record->key());
        self::assertNotSame(RecordKey::fingerprint($ours->public), RecordKey::fingerprint($record->key()));
        self::assertMatchesRegularExpression('~^([0-9a-f]{4} ){7}[0-9a-f]{4}$~', RecordKey::fingerprint($ours->public));
        // with our key written over theirs the signature is another's
        $forged = str_replace(
            base64_encode($theirs->public),
            base64_encode($ours->public),
            $record->write(),
        );
        self::assertFalse(SubmissionRecord::read($forged, 'x')->holds());
        self::assertSame($ours->public, RecordKey::of('a secret of 32 bytes, or more....')->public);
        self::assertFalse(RecordKey::holds('short', 'x', $ours->public));
        self::assertFalse(RecordKey::holds(str_repeat('x', 64), 'x', 'short'));
    }

    public function test_what_is_no_record_is_refused(): void
    {
        $this->expectException(JsonRefused::class);
        SubmissionRecord::read('{"format": "plain-ledger/check", "version": 1}', 'check.json');
    }

    public function test_one_content_has_one_form(): void
    {
        self::assertSame(
            '{"a":[{"x":1,"y":"ä/"}],"b":{"1":2,"10":1}}',
            CanonicalJson::write(['b' => ['10' => 1, '1' => 2], 'a' => [['y' => 'ä/', 'x' => 1]]]),
        );
    }

    /** @return list<array{HistoryEntry, string}> */
    private static function history(): array
    {
        $kept = [];
        $before = HistoryEntry::NOTHING;
        foreach (['checked', 'accepted', 'signed'] as $at => $act) {
            $entry = new HistoryEntry($at + 1, "2026-11-29T09:0{$at}:00Z", 'Odile', $act, ['check' => $at], $before);
            $kept[] = [$entry, $before = $entry->sum()];
        }

        return $kept;
    }

    public function test_a_history_shows_what_was_done_to_it(): void
    {
        $kept = self::history();
        self::assertNull(HistoryChain::fault($kept));
        self::assertNull(HistoryChain::fault([]));
        self::assertSame('entry 2 is missing', HistoryChain::fault([$kept[0], $kept[2]]));
        self::assertSame('entry 1 is missing', HistoryChain::fault(array_slice($kept, 1)));
        $other = new HistoryEntry(2, '2026-11-29T09:01:00Z', 'Odile', 'accepted', ['check' => 7], $kept[0][1]);
        self::assertSame(
            'entry 2 was changed after it was written',
            HistoryChain::fault([$kept[0], [$other, $kept[1][1]], $kept[2]]),
        );
        // whoever also writes its sum anew has to write all that follow anew
        self::assertSame(
            'entry 3 does not follow the one before it',
            HistoryChain::fault([$kept[0], [$other, $other->sum()], $kept[2]]),
        );
    }
}
