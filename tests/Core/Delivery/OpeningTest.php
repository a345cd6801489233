<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PinnedFolder;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;
use Tests\Core\Support\Workbench;

/** What is swapped in between listing and opening never lends a byte of the outside, and never blocks. */
final class OpeningTest extends TestCase
{
    /**
     * @return iterable<string, array{\Closure(string, string): void, string}> what is done to `in/a.png`, and how it
     *   is told
     */
    public static function swaps(): iterable
    {
        $instead = static fn (\Closure $put): \Closure => static function (
            string $inside,
            string $outside,
        ) use ($put): void {
            unlink("{$inside}/a.png");
            $put($inside, $outside);
        };
        yield 'a link to a file outside' => [
            $instead(static fn ($in, $out) => symlink("{$out}/secret.png", "{$in}/a.png")),
            'it was changed since it was looked at',
        ];
        yield 'a link to a file inside' => [
            $instead(static fn ($in) => symlink("{$in}/b.png", "{$in}/a.png")),
            'it was changed since it was looked at',
        ];
        yield 'a pipe' => [$instead(static fn ($in) => posix_mkfifo("{$in}/a.png", 0o600)), 'it is no regular file'];
        yield 'a folder' => [$instead(static fn ($in) => mkdir("{$in}/a.png")), 'this is a folder, not a file'];
        yield 'a device' => [$instead(static fn ($in) => symlink('/dev/zero', "{$in}/a.png")), 'it is no regular file'];
        yield 'nothing' => [$instead(static fn () => null), 'there is no such file'];
        yield 'more bytes' => [
            static function (string $in): void {
                file_put_contents("{$in}/a.png", 'more', FILE_APPEND);
            },
            'it was changed since it was looked at',
        ];
        yield 'another moment' => [
            static function (string $in): void {
                touch("{$in}/a.png", 1_000_000);
            },
            'it was changed since it was looked at',
        ];
        yield 'its folder replaced by a link' => [static function (string $in, string $out): void {
            rename($in, "{$in}.away");
            copy("{$in}.away/a.png", "{$out}/a.png");
            touch("{$out}/a.png", (int) filemtime("{$in}.away/a.png"));
            symlink($out, $in);
        }, 'it was changed since it was looked at'];
    }

    /** @param  \Closure(string, string): void  $swap */
    #[DataProvider('swaps')]
    public function test_what_was_listed_is_opened_and_nothing_else(\Closure $swap, string $why): void
    {
        $bench = (new Workbench)->put('top/in/a.png', Workbench::png())
            ->put('top/in/b.png', Workbench::png())
            ->put('out/secret.png', Workbench::png(7, 7));
        $listing = FolderListing::of("{$bench->folder}/top");
        $listed = iterator_to_array($listing->files(), false);
        $a = array_values(array_filter($listed, static fn (ListedFile $f): bool => $f->name === 'a.png'))[0];
        self::assertGreaterThan(0, $listing->open($a)->size());

        $swap("{$bench->folder}/top/in", "{$bench->folder}/out");
        try {
            $listing->open($a);
            self::fail('It was opened.');
        } catch (SourceUnreadable $gone) {
            self::assertSame($why, $gone->reason());
        }
    }

    public function test_a_file_whose_number_its_file_system_changed_is_still_itself(): void
    {
        $bench = (new Workbench)->put('in/a.png', Workbench::png());
        symlink("{$bench->folder}/in", "{$bench->folder}/way");
        $listing = FolderListing::of("{$bench->folder}/in");
        $file = iterator_to_array($listing->files(), false)[0];
        $otherNumber = new ListedFile('', 'a.png', $file->size, $file->modified, identity: $file->identity + 1);

        self::assertSame($file->size, $listing->open($otherNumber)->size());
        // by way of a link it is not
        $this->expectException(SourceUnreadable::class);
        FileSource::listed("{$bench->folder}/way/a.png", $file->size, $file->modified, $otherNumber->identity);
    }

    public function test_a_frame_that_is_written_meanwhile_is_read_as_it_is_then(): void
    {
        $bench = (new Workbench)->put(
            'in/a.0001.png',
            substr(Workbench::png(), 0, 50),
        )->put('in/a.0002.png', Workbench::png());
        $folder = FolderListing::of("{$bench->folder}/in");
        $listing = self::between(
            $folder,
            static fn () => file_put_contents("{$bench->folder}/in/a.0001.png", Workbench::png()),
        );
        $delivery = (new Scan($listing, Probe::standard()))->run(0);

        self::assertTrue($delivery->factsOf($delivery->groups[0], 0)->isWhole());
        self::assertSame(strlen(Workbench::png()), $delivery->groups[0]->size(0));
    }

    public function test_a_link_that_takes_a_frames_place_is_told(): void
    {
        $bench = (new Workbench)->put('in/a.0001.png', Workbench::png())->put('out/secret.png', Workbench::png(7, 7));
        $listing = self::between(FolderListing::of("{$bench->folder}/in"), static function () use ($bench): void {
            unlink("{$bench->folder}/in/a.0001.png");
            symlink("{$bench->folder}/out/secret.png", "{$bench->folder}/in/a.0001.png");
        });
        $delivery = (new Scan($listing, Probe::standard()))->run(0);
        $facts = $delivery->factsOf($delivery->groups[0], 0);

        self::assertSame(
            [Damage::Unreadable, 'it is a link, and links are not followed'],
            [$facts->damage(), $facts->wholeness->reason],
        );
        self::assertNull($facts->picture->width);
        self::assertSame(0, $delivery->groups[0]->size(0));
    }

    public function test_a_frame_that_never_stands_still_ends_as_one_that_cannot_be_read(): void
    {
        $bench = (new Workbench)->put('in/a.0001.png', Workbench::png());
        $listing = self::between(
            FolderListing::of("{$bench->folder}/in"),
            static fn () => file_put_contents("{$bench->folder}/in/a.0001.png", 'x', FILE_APPEND),
            always: true,
        );
        $delivery = (new Scan($listing, Probe::standard()))->run(0);

        self::assertSame(
            'it was changed since it was looked at',
            $delivery->factsOf($delivery->groups[0], 0)->wholeness->reason,
        );
    }

    public function test_a_folder_that_became_a_link_is_not_entered(): void
    {
        $bench = (new Workbench)->put('in/a.png', Workbench::png())->put('out/secret.png', Workbench::png());
        $listing = FolderListing::at("{$bench->folder}/in");
        rename("{$bench->folder}/in", "{$bench->folder}/away");
        symlink("{$bench->folder}/out", "{$bench->folder}/in");

        self::assertNull(PinnedFolder::at("{$bench->folder}/in"));
        self::assertNull($listing->find('secret.png'));
        $this->expectException(FolderRefused::class);
        iterator_to_array($listing->files());
    }

    /** Somebody swaps links, pipes and folders in as quickly as a machine can, while others look. */
    public function test_a_race_lends_nothing(): void
    {
        $bench = (new Workbench)->put('top/in/a.0001.png', Workbench::png())
            ->put('top/in/deep/b.0001.png', Workbench::png())
            ->put('out/a.0001.png', Workbench::png(7, 7))
            ->put('out/b.0001.png', Workbench::png(7, 7));
        file_put_contents("{$bench->folder}/attack.php", <<<'PHP'
            <?php
            [, $top] = $argv;
            for ($n = 0; ; $n++) {
                @rename("$top/top/in/deep", "$top/top/in/.deep");
                @symlink("$top/out", "$top/top/in/deep");
                @unlink("$top/top/in/a.0001.png");
                $name = "$top/top/in/a.0001.png";
                $n % 3 === 0 ? @posix_mkfifo($name, 0o600) : @symlink("$top/out/a.0001.png", $name);
                @unlink("$top/top/in/deep");
                @rename("$top/top/in/.deep", "$top/top/in/deep");
                @unlink("$top/top/in/a.0001.png");
                @copy("$top/top/in/deep/b.0001.png", "$top/top/in/a.0001.png");
            }
            PHP);
        $attacker = proc_open([PHP_BINARY, "{$bench->folder}/attack.php", $bench->folder], [], $pipes);
        self::assertIsResource($attacker);
        $seen = [];
        try {
            for ($until = microtime(true) + 2.5; microtime(true) < $until;) {
                try {
                    $delivery = (new Scan(FolderListing::at("{$bench->folder}/top"), Probe::standard()))->run(0);
                } catch (FolderRefused) {
                    continue;
                }
                foreach ($delivery->groups as $group) {
                    for ($row = 0; $row < $group->count(); $row++) {
                        $facts = $delivery->factsOf($group, $row);
                        $seen[$facts->picture->width ?? $facts->wholeness->reason ?? ''] = true;
                    }
                }
            }
        } finally {
            proc_terminate($attacker, SIGKILL);
            proc_close($attacker);
        }

        self::assertArrayNotHasKey(7, $seen, 'A picture from outside was read.');
        self::assertArrayHasKey(64, $seen);
        self::assertGreaterThan(1, count($seen), 'Nothing was swapped while they looked.');
    }

    /** A folder where something happens between listing and opening. */
    private static function between(FolderListing $folder, \Closure $happens, bool $always = false): Listing
    {
        return new class($folder, $happens, $always) implements Listing
        {
            private bool $happened = false;

            public function __construct(
                private FolderListing $folder,
                private \Closure $happens,
                private bool $always,
            ) {}

            public function files(): iterable
            {
                return $this->folder->files();
            }

            public function mayGrow(): bool
            {

                return true;

            }

            public function root(): string
            {
                return '';
            }

            public function open(ListedFile $file): ByteSource
            {
                if ($this->always || ! $this->happened) {
                    $this->happened = true;
                    ($this->happens)();
                }

                return $this->folder->open($file);
            }

            public function again(ListedFile $file): ListedFile
            {
                return $this->folder->again($file);
            }
        };
    }
}
