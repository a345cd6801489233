<?php

declare(strict_types=1);

namespace Tests\Core\Sealing;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checksums\C4Id;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Sealing\DirectorySums;
use PlainLedger\Core\Sealing\MhlGeneration;
use PlainLedger\Core\Sealing\MhlHistory;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedSums;
use PlainLedger\Core\Sealing\SealRefused;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Sealing\SealWriter;
use PlainLedger\Core\Sealing\Verification;
use Tests\Core\Support\Workbench;

/** A delivery is sealed, and whatever becomes of it afterwards is told. */
final class SealTest extends TestCase
{
    private static function delivery(): Workbench
    {
        $bench = new Workbench;

        return $bench->put('v1/a.0001.exr', 'one')->put('v1/a.0002.exr', 'two')->put('v1/b/a.0003.exr', 'three')
            ->put('top.txt', 't');
    }

    private static function sealed(Workbench $bench, SumAlgorithm ...$with): Seal
    {
        $run = new SealRun(FolderListing::of($bench->folder), array_values($with));
        iterator_count($run->steps());

        return $run->result();
    }

    /** @param  array<array-key, array{string, string}>|null  $sums */
    private static function verified(Workbench $bench, ?array $sums = null): Verification
    {
        $listing = FolderListing::of($bench->folder);
        $sums ??= SealedSums::in($listing)->sums;

        return Verification::of($sums, self::sealed($bench, ...Verification::algorithms($sums)));
    }

    private static function writeList(Workbench $bench): void
    {
        $seal = self::sealed($bench, SumAlgorithm::Sha256);
        (new SealWriter($bench->folder))->write('all.sha256', SumLines::write($seal->sums(SumAlgorithm::Sha256)), true);
    }

    public function test_several_sums_in_one_reading(): void
    {
        $bench = self::delivery()->put('.DS_Store', 'x')->put('__MACOSX/v1/._a.0001.exr', 'x')->put('old.md5', 'x');
        $seal = self::sealed($bench, ...SumAlgorithm::cases());

        self::assertSame(
            ['top.txt', 'v1/a.0001.exr', 'v1/a.0002.exr', 'v1/b/a.0003.exr'],
            array_map(static fn ($file): string => $file->path, $seal->files),
        );
        self::assertSame(12, $seal->bytes());
        foreach (SumAlgorithm::cases() as $algorithm) {
            self::assertSame(hash($algorithm->value, 'two'), $seal->files[2]->sum($algorithm));
        }
        self::assertTrue($seal->isWhole());
        self::assertSame($seal->fingerprint(), self::sealed($bench, ...SumAlgorithm::cases())->fingerprint());
        $bench->put('top.txt', 'u');
        self::assertNotSame($seal->fingerprint(), self::sealed($bench, ...SumAlgorithm::cases())->fingerprint());
    }

    public function test_what_cannot_be_read_is_told(): void
    {
        $bench = self::delivery();
        symlink('/etc/hostname', "{$bench->folder}/link.exr");
        $seal = self::sealed($bench, SumAlgorithm::Md5);

        self::assertFalse($seal->isWhole());
        self::assertSame(['link.exr'], array_keys($seal->refused));
        self::assertStringContainsString('link', $seal->refused['link.exr']);
    }

    public function test_a_run_goes_on_where_it_was_stopped(): void
    {
        $bench = self::delivery();
        $first = new SealRun(FolderListing::of($bench->folder), [SumAlgorithm::Md5]);
        foreach ($first->steps() as $progress) {
            if ($progress->files === 2) {
                break;
            }
        }
        $known = $first->result()->files;
        self::assertCount(2, $known);
        // one of them is another by now, though as long: it is read again
        file_put_contents("{$bench->folder}/v1/a.0001.exr", 'ONE');
        touch("{$bench->folder}/v1/a.0001.exr", time() + 9);
        $second = new SealRun(FolderListing::of($bench->folder), [SumAlgorithm::Md5], $known);
        iterator_count($second->steps());

        self::assertCount(4, $second->result()->files);
        self::assertSame(md5('ONE'), $second->result()->files[1]->sum(SumAlgorithm::Md5));
        self::assertSame(md5('t'), $second->result()->files[0]->sum(SumAlgorithm::Md5));
    }

    public function test_changed_missing_new_and_renamed(): void
    {
        $bench = self::delivery()->put('same1.bin', 'same')->put('same2.bin', 'same');
        self::writeList($bench);
        self::assertTrue(self::verified($bench)->holds());

        $bench->put('v1/a.0001.exr', 'ONE')->put('new.txt', 'new')->put('other/same2.bin', 'same');
        rename("{$bench->folder}/top.txt", "{$bench->folder}/v1/bottom.txt");
        foreach (['v1/a.0002.exr', 'same1.bin', 'same2.bin'] as $gone) {
            unlink("{$bench->folder}/{$gone}");
        }
        $found = self::verified($bench);

        self::assertFalse($found->holds());
        self::assertSame(
            [1, ['v1/a.0001.exr'], ['same1.bin', 'v1/a.0002.exr'], ['new.txt']],
            [$found->same, $found->changed, $found->missing, $found->new],
        );
        // of two with the same bytes that of the same name
        self::assertSame([['same2.bin', 'other/same2.bin'], ['top.txt', 'v1/bottom.txt']], $found->renamed);
    }

    public function test_a_list_from_elsewhere_with_paths_that_lead_out(): void
    {
        $bench = self::delivery();
        $list = md5('t')."  ../../top.txt\n".md5('one')."  v1/./a.0001.exr\n";
        $found = self::verified($bench, SealedSums::of(new StringSource($list), 'x.md5')->sums);

        self::assertSame(1, $found->same);
        self::assertSame([['../../top.txt', 'top.txt']], $found->renamed);
        self::assertCount(2, $found->new);
    }

    private static function generation(Workbench $bench, SumAlgorithm ...$with): MhlGeneration
    {
        $history = MhlHistory::of(FolderListing::of($bench->folder));
        $at = new \DateTimeImmutable('2026-11-29T09:00:0'.$history->next().'Z');

        return new MhlGeneration(self::sealed($bench, ...$with), $history, 'TC 010', $at, 'Odile <o>', 'quay');
    }

    private static function write(Workbench $bench, MhlGeneration $generation): void
    {
        $document = $generation->document();
        $writer = new SealWriter($bench->folder);
        $writer->write('ascmhl/'.$generation->name(), [$document]);
        $writer->write('ascmhl/ascmhl_chain.xml', [$generation->chain($document)], true);
    }

    /** Sums of folders, worked out step by step as the specification of ASC MHL tells it. */
    public function test_sums_of_folders(): void
    {
        $sum = static fn (string $bytes): string => hash('xxh64', $bytes);
        $sorted = static function (string ...$sums): string {
            sort($sums);

            return implode('', array_map(hex2bin(...), $sums));
        };
        $inner = [$sum($sorted($sum('three'))), $sum($sorted($sum('a.0003.exr')))];
        $folder = [
            $sum($sorted($sum('one'), $sum('two'), $inner[0])),
            $sum($sorted($sum('a.0001.exr'), $sum('a.0002.exr'), $sum('b'.hex2bin($inner[1])))),
        ];
        $root = [
            $sum($sorted($sum('t'), $folder[0])),
            $sum($sorted($sum('top.txt'), $sum('v1'.hex2bin($folder[1])))),
        ];
        $seal = self::sealed(self::delivery(), SumAlgorithm::Xxh64);

        self::assertSame(
            ['' => $root, 'v1' => $folder, 'v1/b' => $inner],
            DirectorySums::of($seal->sums(SumAlgorithm::Xxh64), SumAlgorithm::Xxh64)->folders,
        );
        // a folder that holds folders alone
        $deep = DirectorySums::of(['x/y/z' => $sum('z')], SumAlgorithm::Xxh64)->folders;
        self::assertSame(['', 'x', 'x/y'], array_map(strval(...), array_keys($deep)));
    }

    public function test_generations_and_their_chain(): void
    {
        $bench = self::delivery();
        $first = self::generation($bench, SumAlgorithm::Xxh64);
        self::assertSame('0001_TC_010_2026-11-29_090001Z.mhl', $first->name());
        self::write($bench, $first);
        $document = (string) file_get_contents("{$bench->folder}/ascmhl/{$first->name()}");
        self::assertStringContainsString('<name>Odile &lt;o&gt;</name>', $document);
        self::assertSame(4, substr_count($document, 'action="original"'));
        self::assertTrue(self::verified($bench)->holds());

        $bench->put('new.txt', 'n')->put('v1/a.0001.exr', 'ONE');
        $second = self::generation($bench, SumAlgorithm::Xxh64, SumAlgorithm::Md5);
        self::assertSame(['v1/a.0001.exr'], $second->failed());
        self::write($bench, $second);
        $document = (string) file_get_contents("{$bench->folder}/ascmhl/{$second->name()}");
        $actions = array_map(static fn (string $a): int => substr_count($document, "action=\"{$a}\""), [
            'original', 'verified', 'new', 'failed',
        ]);
        self::assertSame([2, 3, 3, 2], $actions);
        // what the first one says holds on
        $listing = FolderListing::of($bench->folder);
        self::assertSame([['v1/a.0001.exr'], []], [self::verified($bench)->changed, SealedSums::in($listing)->faults]);
        self::assertSame([1, 2], array_keys(MhlHistory::of($listing)->generations));
    }

    public function test_a_broken_chain_is_told(): void
    {
        $bench = self::delivery();
        foreach ([1, 2] as $ignored) {
            self::write($bench, self::generation($bench, SumAlgorithm::Xxh64));
        }
        $names = MhlHistory::of(FolderListing::of($bench->folder))->generations;
        $path = "{$bench->folder}/ascmhl/{$names[1]}";
        $text = (string) file_get_contents($path);
        $faults = static fn (): array => SealedSums::in(FolderListing::of($bench->folder))->faults;
        self::assertSame([], $faults());
        // one byte of what was written first
        file_put_contents($path, str_replace('original', 'Original', $text));
        self::assertSame(["The media hash list “{$names[1]}” was changed after it was written."], $faults());
        file_put_contents($path, $text);
        rename("{$bench->folder}/ascmhl/{$names[2]}", "{$bench->folder}/ascmhl/0003_other.mhl");
        self::assertSame([
            'The media hash list “0003_other.mhl” is not in the chain.',
            "The media hash list “{$names[2]}” is in the chain, and not there.",
        ], $faults());
        unlink("{$bench->folder}/ascmhl/ascmhl_chain.xml");
        self::assertSame(['The chain of the media hash lists, ascmhl/ascmhl_chain.xml, is missing.'], $faults());
    }

    public function test_the_chain_holds_the_identifier_of_each_document(): void
    {
        $bench = self::delivery();
        self::write($bench, $first = self::generation($bench, SumAlgorithm::Md5));
        $chain = (string) file_get_contents("{$bench->folder}/ascmhl/ascmhl_chain.xml");
        $id = C4Id::ofText((string) file_get_contents("{$bench->folder}/ascmhl/{$first->name()}"));

        self::assertStringContainsString("<path>{$first->name()}</path>", $chain);
        self::assertStringContainsString("<c4>{$id}</c4>", $chain);
    }

    public function test_nothing_is_written_over_or_through_a_link(): void
    {
        $bench = self::delivery();
        $writer = new SealWriter($bench->folder);
        $writer->write('a.md5', ['x']);
        try {
            $writer->write('a.md5', ['y']);
            self::fail('It was written over.');
        } catch (SealRefused $refused) {
            self::assertStringContainsString('nothing is written over', $refused->getMessage());
        }
        self::assertSame('x', file_get_contents("{$bench->folder}/a.md5"));
        symlink("{$bench->folder}/v1", "{$bench->folder}/ascmhl");
        $this->expectException(SealRefused::class);
        $writer->write('ascmhl/0001_x.mhl', ['x']);
    }
}
