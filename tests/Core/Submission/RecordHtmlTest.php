<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Submission\RecordHtml;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;

/** A record as a page: all it says, and nothing that is not its own. */
final class RecordHtmlTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function record(array $more = []): SubmissionRecord
    {
        $entry = static fn (string $id, string $mark, array $more = []): array => $more + [
            'id' => $id, 'part' => 'frames', 'level' => 'must', 'mark' => $mark, 'required' => '24',
            'files' => ['mark' => $mark, 'found' => '25'],
        ];

        return SubmissionRecord::signed($more + [
            'number' => 3,
            'production' => ['code' => 'TC', 'name' => 'The Tide Clock'],
            'deliverable' => ['code' => 'TC_010', 'title' => '<quay>', 'owner' => 'Ansel'],
            'signed_by' => 'Odile', 'signed_at' => '2026-11-29T09:00:00Z', 'checked_at' => '2026-11-29T08:00:00Z',
            'verdict' => 'balanced', 'depth' => 'full', 'replaces' => 2, 'note' => "Fine & good\xff",
            'accepted' => [[
                'id' => 'time.rate', 'part' => 'frames', 'found' => '25', 'by' => 'Odile', 'reason' => 'as agreed',
            ]],
            'answered' => [[
                'why' => 'Scene saved (yes) could not be checked: only a scene shows it.', 'by' => 'Odile',
                'done_instead' => 'opened it',
            ]],
            'check' => [
                'entries' => [
                    $entry('time.rate', 'waived'), $entry('picture.resolution', 'equal', ['pass' => 'fog']),
                    $entry('x.own', 'unknown', ['level' => 'should', 'part' => 'reel']),
                    $entry('camera.name', 'unequal', ['files' => null, 'scene' => ['found' => 'cam_quay']]), 7,
                ],
                'sequences' => [['folder' => 'v1', 'pattern' => 'a.####.exr', 'present' => '1-9'], 'x'],
            ],
            'totals' => ['files' => 45, 'bytes' => 1234567],
            'fingerprint' => 'abcdef',
            'files' => array_map(static fn (int $n): array => [
                'path' => "a.{$n}.exr", 'sums' => ['sha256' => "s{$n}", 'md5' => 7],
            ], range(1, 45)),
        ], RecordKey::of(str_repeat('k', 32)));
    }

    public function test_everything_it_says(): void
    {
        $html = (new RecordHtml)->write(self::record());
        $text = html_entity_decode((string) preg_replace('~<[^>]+>~', '|', $html));

        foreach ([
            'Submission TC_010, number 3', 'TC, The Tide Clock', 'TC_010, <quay>', 'Odile', 'number 2',
            'Frame rate', 'accepted', 'frames, fog', 'reel, should', 'x.own', 'not told', 'differs', 'cam_quay',
            'Frame rate of frames was accepted as 25 by Odile: as agreed',
            'only a scene shows it. Done instead, by Odile: opened it', 'v1/a.####.exr', '1-9',
            '45 files, 1,234,567 bytes', 'sha256 s40', 'And 5 more files', 'All of them together: abcdef',
            RecordKey::fingerprint(self::record()->key()), '9.5pt',
        ] as $said) {
            self::assertStringContainsString($said, $text, $said);
        }
        self::assertStringNotContainsString('sha256 s41', $text);
        self::assertStringNotContainsString('<quay>', $html);
        self::assertStringContainsString('Fine &amp; good', $html);
        self::assertStringNotContainsString('class="standing"', $html);
    }

    public function test_pictures_and_what_came_since(): void
    {
        $named = static fn (string ...$names): array => ['files' => count($names), 'names' => $names];
        $html = (new RecordHtml)->write(self::record([
            'read_by' => 'browser',
            'pictures' => [
                ['part' => 'frames', 'pass' => 'fog', 'frame' => 7, 'jpeg' => base64_encode('<jpeg>')],
                ['part' => 'reel', 'picture' => 0, 'jpeg' => '" onerror="alert(1)'], ['part' => 'x'],
            ],
            'since' => [
                'number' => 2, 'same' => $named('a.####.exr 1-7'), 'again' => $named(...array_fill(0, 15, 'b<i>')),
                'renamed' => [['from' => 'c', 'to' => 'd']],
                'lines' => ['put_right' => [['id' => 'time.rate', 'part' => 'frames', 'pass' => null]], 'back' => []],
            ],
            'approved' => [
                ['number' => 1, 'signed_by' => 'Odile', 'signed_at' => '2026-11-28', 'names' => ['a.####.exr 1-7']],
                ['number' => 3, 'signed_by' => 'Corvin', 'names' => ['b']],
            ],
        ]));
        $text = html_entity_decode((string) preg_replace('~<[^>]+>~', '|', $html));

        self::assertSame(1, substr_count($html, '<img '));
        self::assertStringContainsString('src="data:image/jpeg;base64,PGpwZWc+"><br>frames, fog, frame 7<', $html);
        foreach ([
            'They stay on the machine of whoever signed', 'Since number 2', 'as they were: |a.####.exr 1-7',
            'put right, accepted before: Frame rate of frames',
            'b<i>, b<i> and 3 more', 'renamed: |c → d', 'number 1, Odile, 2026-11-28', 'number 3, Corvin',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
        self::assertStringNotContainsString('Since number', (new RecordHtml)->write(self::record()));
    }

    public function test_what_became_of_it_stands_on_its_face(): void
    {
        $html = (new RecordHtml('Withdrawn: <b>', '7pt'))->write(self::record());
        self::assertStringContainsString('<p class="standing">Withdrawn: &lt;b&gt;</p>', $html);
        self::assertStringContainsString('7pt', $html);
        $changed = SubmissionRecord::read(str_replace('as agreed', 'as asked', self::record()->write()), 'x');
        self::assertStringContainsString('This record is not as it was signed.', (new RecordHtml)->write($changed));
    }

    public function test_one_that_says_next_to_nothing(): void
    {
        $record = SubmissionRecord::signed(['number' => 1], RecordKey::of(str_repeat('k', 32)));
        $html = (new RecordHtml)->write($record);

        self::assertStringContainsString('0 files, 0 bytes', $html);
        self::assertStringNotContainsString('What was asked and found', $html);
        self::assertStringNotContainsString('What was accepted', $html);
    }

    public function test_sums_of_one_kind_and_files_that_are_put_aside(): void
    {
        $record = self::record(['files' => [
            ['path' => 'a', 'sums' => ['md5' => 'm', 'sha256' => 's']], ['path' => SubmissionRecord::written("b\xff"),
                'sums' => ['sha256' => 't']], ['path' => 7], 'x',
        ]]);
        self::assertSame(['a' => 's', "b\xff" => 't'], $record->sumsBy(SumAlgorithm::Sha256));
        self::assertSame(['a' => 'm'], $record->sumsBy(SumAlgorithm::Md5));
        $file = new SealedFile("b\xff", 3, 5, ['md5' => 'm']);
        $again = SealedFile::fromArray(json_decode(json_encode($file->toArray(), JSON_THROW_ON_ERROR), true));
        self::assertEquals($file, $again);
    }
}
