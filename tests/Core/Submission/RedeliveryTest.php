<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Submission\Approvals;
use PlainLedger\Core\Submission\LinesSince;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\Redelivery;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Core\Support\Workbench;

/** What came again since a delivery was signed, and what stays approved. */
final class RedeliveryTest extends TestCase
{
    private const AT = '2023-11-14T22:13:20Z';

    /**
     * @param  array<string, string>  $files  what is in each, by path
     * @param  array<string, mixed>  $more
     */
    private static function record(array $files, array $more = [], string $algorithm = 'md5'): SubmissionRecord
    {
        $rows = [];
        foreach ($files as $path => $bytes) {
            $rows[] = [
                'path' => $path, 'bytes' => strlen($bytes), 'modified' => self::AT,
                'sums' => [$algorithm => hash($algorithm, $bytes)],
            ] + ($more['first'][$path] ?? []);
        }
        unset($more['first']);

        return SubmissionRecord::signed(
            $more + [
                'number' => 2, 'signed_by' => 'Odile', 'signed_at' => '2026-11-28T10:00:00Z', 'files' => $rows,
                'asked' => ['require' => ['time.rate' => '24']],
            ],
            RecordKey::of(str_repeat('k', 32)),
        );
    }

    /** @param  array<string, string>  $files */
    private static function seal(array $files, int $later = 0): Seal
    {
        $sealed = [];
        foreach ($files as $path => $bytes) {
            $sealed[] = new SealedFile((string) $path, strlen($bytes), 1_700_000_000 + $later, ['md5' => md5($bytes)]);
        }

        return new Seal([SumAlgorithm::Md5], $sealed);
    }

    public function test_by_the_sums_of_all_bytes(): void
    {
        $since = Redelivery::of(
            self::record(['a.1' => 'one', 'a.2' => 'two', 'a.3' => 'three', 'gone' => 'x']),
            self::seal(['a.1' => 'one', 'a.2' => 'TWO', 'b.3' => 'three', 'new' => 'y'], 500),
        );
        self::assertSame(
            [
                'As they were: a.1.', 'Came again: a.2.', 'New: new.', 'Gone: gone.', 'Renamed: a.3 is b.3 now.',
            ],
            $since->sentences(),
        );
        self::assertFalse($since->isTheSame());
        self::assertSame(['a.1', 'b.3'], $since->unchanged());
        self::assertSame(
            [2, 'sums', ['files' => 1, 'names' => ['a.2']], [['from' => 'a.3', 'to' => 'b.3']]],
            [
                $since->toArray()['number'], $since->toArray()['by'], $since->toArray()['again'],
                $since->toArray()['renamed'],
            ],
        );
    }

    public function test_as_far_as_sizes_and_times_tell_where_they_have_no_sum_in_common(): void
    {
        $record = self::record(['a' => 'one', 'b' => 'two', 'c' => 'x'], [], 'sha256');
        $since = Redelivery::of($record, self::seal(['a' => 'ONE', 'b' => 'four', 'd' => 'y']));
        self::assertFalse($since->isExact);
        self::assertSame(
            [['a'], ['b'], ['d'], ['c']],
            [$since->same, $since->again, $since->new, $since->gone],
        );
        // so nothing is taken as approved
        self::assertSame([], Approvals::staying($record, $since, ['require' => ['time.rate' => '24']])->numbers);
        self::assertTrue(Redelivery::of(self::record(['a' => 'one']), self::seal(['z' => 'one']))->isTheSame());
    }

    public function test_before_its_files_were_read(): void
    {
        $bench = (new Workbench)->put('a.exr', 'one')->put('b.exr', 'two');
        touch("{$bench->folder}/a.exr", 1_700_000_000);
        $since = Redelivery::expected(self::record(['a.exr' => 'xxx', 'b.exr' => 'two']), $bench->scan());
        self::assertSame([['a.exr'], ['b.exr']], [$since->same, $since->again]);
    }

    public function test_long_lists_are_told_in_few_words(): void
    {
        $files = [];
        foreach (range('a', 'z') as $letter) {
            $files["{$letter}.exr"] = $letter;
        }
        $says = Redelivery::of(self::record(['x' => 'other']), self::seal($files))->sentences();
        self::assertStringEndsWith(', l.exr and 14 more.', $says[0]);
    }

    public function test_each_file_is_approved_by_the_first_that_signed_it_so(): void
    {
        $asked = ['require' => ['time.rate' => '24']];
        $record = self::record(['a.1' => 'one', 'a.2' => 'two', 'a.3' => 'three'], [
            'approved' => [
                ['number' => 1, 'signed_by' => 'Corvin', 'signed_at' => '2026-11-27T10:00:00Z'], 'x', ['number' => 'y'],
            ],
            'first' => ['a.1' => ['first_signed' => 1]],
        ]);
        $now = self::seal(['a.1' => 'one', 'b.2' => 'two', 'a.3' => 'THREE']);
        $since = Redelivery::of($record, $now);
        $approvals = Approvals::staying($record, $since, $asked);
        self::assertSame(['a.1' => 1, 'b.2' => 2], $approvals->numbers);
        self::assertSame(
            [[1, 'Corvin', ['a.1']], [2, 'Odile', ['b.2']], [3, 'Ansel', ['a.3']]],
            array_map(
                static fn (array $one): array => [$one['number'], $one['signed_by'], $one['names']],
                $approvals->toArray(['a.1', 'a.3', 'b.2'], 3, 'Ansel', '2026-11-29T10:00:00Z'),
            ),
        );
        // something else was asked then
        self::assertSame([], Approvals::staying($record, $since, ['require' => ['time.rate' => '25']])->numbers);
    }

    public function test_lines_that_are_accepted_equal_or_asked_otherwise(): void
    {
        $check = static fn (array $marks): array => ['entries' => [...array_map(
            static fn (string $id, array $is): array => [
                'id' => $id, 'part' => 'frames', 'mark' => $is[0], 'required' => $is[1],
            ],
            array_keys($marks),
            $marks,
        ), 7]];
        $since = LinesSince::of(
            $check(['a' => ['waived', '1'], 'b' => ['equal', '1'], 'c' => ['equal', '1'], 'd' => ['waived', '1']]),
            $check([
                'a' => ['equal', '1'], 'b' => ['waived', '1'], 'c' => ['equal', '2'], 'd' => ['waived', '1'],
                'e' => ['equal', '1'],
            ]),
        )->toArray();
        self::assertSame(
            [['a'], ['b'], ['c', 'e']],
            array_map(static fn (array $lines): array => array_column($lines, 'id'), array_values($since)),
        );
        self::assertSame(['put_right' => [], 'back' => [], 'asked_otherwise' => []], LinesSince::of([], [])->toArray());
    }
}
