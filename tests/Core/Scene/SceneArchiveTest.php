<?php

declare(strict_types=1);

namespace Tests\Core\Scene;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Matching\OwnerCandidate;
use PlainLedger\Core\Matching\SceneOwnership;
use PlainLedger\Core\Scene\SceneArchive;
use Tests\Core\Support\Workbench;

/** Settings in archives, friendly and hostile; and whose they are. */
final class SceneArchiveTest extends TestCase
{
    private Workbench $bench;

    protected function setUp(): void
    {
        $this->bench = new Workbench;
    }

    /** @param  array<string, string>  $files */
    private function zip(array $files, ?\Closure $more = null): string
    {
        $path = "{$this->bench->folder}/a.zip";
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString((string) $name, $content);
        }
        $more === null ?: $more($zip);
        $zip->close();

        return $path;
    }

    /** @return array<string, string> contents, or what is said instead */
    private static function read(string $path): array
    {
        $read = [];
        foreach (SceneArchive::files($path, 'a.zip') as $name => $content) {
            $read[$name] = $content instanceof JsonRefused ? 'refused: '.$content->getMessage() : $content;
        }

        return $read;
    }

    public function test_files_of_an_archive_in_folders_and_with_strange_names(): void
    {
        $path = $this->zip(
            [
                'TC_010.txt' => 'fps = 24',
                'deep/er/TC_020.txt' => 'fps = 25',
                '../../etc/TC_030.txt' => 'fps = 30',
                "new\nline.txt" => 'fps = 48',
                '__MACOSX/._TC_010.txt' => 'x',
                '.DS_Store' => 'x',
                'empty.txt' => '',
            ],
        );
        self::assertSame(
            [
                'TC_010.txt' => 'fps = 24',
                'deep/er/TC_020.txt' => 'fps = 25',
                '../../etc/TC_030.txt' => 'fps = 30',
                'new\x0Aline.txt' => 'fps = 48',
                'empty.txt' => '',
            ],
            self::read($path),
        );
        self::assertFileDoesNotExist(dirname($this->bench->folder, 2).'/etc/TC_030.txt');
    }

    public function test_a_few_bytes_that_unpack_to_many_are_left_alone(): void
    {
        $path = $this->zip(['bomb.txt' => str_repeat("\0", 60_000_000), 'good.txt' => 'fps = 24']);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $read = self::read($path);
        self::assertStringContainsString('refused: bomb.txt: unpacked it has more than', $read['bomb.txt']);
        self::assertSame('fps = 24', $read['good.txt']);
        self::assertLessThan(20_000_000, memory_get_peak_usage() - $before);
    }

    public function test_many_of_them_end_the_reading(): void
    {
        $bomb = str_repeat('fps = 24 ', 430_000);
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage('far more than settings take');
        self::read(
            $this->zip(
                array_combine(
                    array_map(static fn (int $n): string => "{$n}.txt", range(1, 60)),
                    array_fill(0, 60, $bomb),
                ),
            ),
        );
    }

    /** @return iterable<string, array{\Closure(self): string, string}> */
    public static function refused(): iterable
    {
        yield 'no archive' => [static function (self $test): string {
            file_put_contents($path = "{$test->bench->folder}/a.zip", 'PK'.random_bytes(50));

            return $path;
        }, 'no whole zip archive'];
        yield 'half of one' => [static function (self $test): string {
            $path = $test->zip(['a.txt' => str_repeat('fps = 24', 1000), 'b.txt' => 'x']);
            file_put_contents($path, substr((string) file_get_contents($path), 0, 120));

            return $path;
        }, 'no whole zip archive'];
        yield 'a workbook' => [
            static fn (self $test): string => dirname(__DIR__, 2).'/fixtures/scenes/settings.xlsx',
            'it is a workbook',
        ];
        yield 'folders alone' => [
            static fn (self $test): string => $test->zip([], static fn (\ZipArchive $z): bool => $z->addEmptyDir('a')),
            'there is no file in it',
        ];
        yield 'far too many files' => [
            static fn (self $test): string => $test->zip([], static function (\ZipArchive $z): void {
                for ($i = 0; $i < 100_000; $i++) {
                    $z->addFromString("f{$i}", '');
                }
            }),
            'it holds 100,000 files',
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_of_no_use_is_refused(\Closure $make, string $says): void
    {
        $this->expectException(JsonRefused::class);
        $this->expectExceptionMessage($says);
        self::read($make($this));
    }

    public function test_locked_damaged_and_nested_ones_are_told_by_name(): void
    {
        $inner = (string) file_get_contents($this->zip(['x' => 'y']));
        $path = $this->zip(
            ['locked.txt' => 'fps = 24', 'inner.zip' => $inner, 'torn.txt' => str_repeat('fps = 24; size = 1', 50)],
            static function (\ZipArchive $zip): void {
                $zip->setPassword('p');
                $zip->setEncryptionName('locked.txt', \ZipArchive::EM_AES_256);
                $zip->setCompressionName('torn.txt', \ZipArchive::CM_STORE);
            },
        );
        $bytes = (string) file_get_contents($path);
        file_put_contents($path, str_replace('fps = 24; size = 1fps', 'fps = 99; size = 1fps', $bytes));
        $read = self::read($path);

        self::assertSame(
            [
                'refused: locked.txt: it is locked by a password.',
                'refused: inner.zip: it is an archive within the archive, and is not opened.',
                'refused: torn.txt: it is damaged in the archive.',
            ],
            array_values($read),
        );
    }

    /**
     * @return iterable<string, array{list<string>, list<string>}> what a scene says of itself, and the codes it can
     *   be of
     */
    public static function owners(): iterable
    {
        yield 'its code' => [['TC_010'], ['TC_010']];
        yield 'its code within a name' => [['tc-010_light_v003'], ['TC_010']];
        yield 'the longer code' => [['TC_010_B_light'], ['TC_010_B']];
        yield 'a code that goes on in digits is another' => [['TC_0101_light'], []];
        yield 'a learner' => [['pim_vane_settings'], ['VANE_Pim']];
        yield 'a learner and a code' => [['loop by pim', 'x'], ['LOOP_Pim']];
        yield 'a learner of several' => [['pim_settings'], ['VANE_Pim', 'LOOP_Pim']];
        yield 'the whole name of the owner' => [['Wren Ashdown'], ['VANE_Wren']];
        yield 'the file tells nothing, the scene does' => [['settings', 'TC_010_light'], ['TC_010']];
        yield 'nothing tells' => [['settings', 'scene 1'], []];
        yield 'two codes' => [['TC_010 and TC_020'], ['TC_010', 'TC_020']];
        yield 'a name within a word is none' => [['pimento'], []];
    }

    /**
     * @param  list<string>  $whose
     * @param  list<string>  $expected
     */
    #[DataProvider('owners')]
    public function test_whose_a_scene_is(array $whose, array $expected): void
    {
        $owners = new SceneOwnership(
            [
                new OwnerCandidate(1, 'TC_010', 'ansel'),
                new OwnerCandidate(2, 'TC_010_B', 'ansel'),
                new OwnerCandidate(3, 'TC_020', null),
                new OwnerCandidate(4, 'VANE_Pim', 'pim', 'Pim Reed'),
                new OwnerCandidate(5, 'LOOP_Pim', 'pim', 'Pim Reed'),
                new OwnerCandidate(6, 'VANE_Wren', 'wren', 'Wren Ashdown'),
            ],
        );
        self::assertSame($expected, array_map(static fn (OwnerCandidate $o): string => $o->code, $owners->of($whose)));
    }
}
