<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Practice\MarkedPoint;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;
use PlainLedger\Demo\Practice\Brief;
use Tests\Core\Support\RunsProgram;
use Tests\Core\Support\Workbench;

/** A job in words, and specifications that were written for it. */
final class BriefTest extends TestCase
{
    use RunsProgram;

    private Workbench $bench;

    protected function setUp(): void
    {
        $this->bench = new Workbench;
    }

    /** @return array<string, mixed> all that the brief of that word asks */
    private static function whole(string $word): array
    {
        $text = Brief::of($word)->text();
        self::assertSame(1, preg_match(
            '~The shot (\w+), of the task “(\w+)”: (\d+) frames, the first of them (\d+), at 24 a second\. Each '
                .'is (\d+) pixels wide and (\d+) high~u',
            $text,
            $m,
        ), $text);
        $last = (int) $m[4] + (int) $m[3] - 1;

        return [
            'picture.resolution' => "{$m[5]}x{$m[6]}", 'time.range' => "{$m[4]}-{$last}", 'time.rate' => '24',
            'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA',
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}', 'content.black' => 'none',
            'delivery.extras' => 'none',
        ];
    }

    /** @param  array<string, mixed>  $require */
    private function marked(array $require, string $word = 'wren'): Marking
    {
        $document = json_encode(['require' => (object) $require] + Brief::of($word)->blank(), JSON_THROW_ON_ERROR);
        $marking = Brief::of($word)->mark(
            JsonDocument::parse($document, 'mine.json', Specification::FORMAT),
            $this->bench->folder,
        );
        // what it was tried on is not left behind
        self::assertSame([], glob("{$this->bench->folder}/*"));

        return $marking;
    }

    /** @return iterable<string, array{string}> */
    public static function words(): iterable
    {
        foreach (['wren', 'juna', 'pim', 'a <b>', ''] as $word) {
            yield "“{$word}”" => [$word];
        }
    }

    #[DataProvider('words')]
    public function test_whoever_writes_down_all_of_it_has_all_points(string $word): void
    {
        $marking = $this->marked(self::whole($word), $word);

        self::assertSame([11, 11], [$marking->earned(), $marking->possible()], implode("\n", array_map(
            static fn (MarkedPoint $p): string => $p->says,
            $marking->points,
        )));
        self::assertSame(Brief::of($word)->text(), Brief::of($word)->text());
    }

    public function test_what_was_left_out_lets_something_pass(): void
    {
        $require = self::whole('wren');
        unset($require['format.bit_depth'], $require['content.black']);
        $marking = $this->marked($require);

        self::assertSame(9, $marking->earned());
        $missed = array_values(array_filter(
            $marking->points,
            static fn (MarkedPoint $p): bool => $p->mark === 'missed',
        ));
        self::assertSame([
            'It lets this pass: all frames have 8 bits a channel. Bit depth would tell it.',
            'It lets this pass: three frames are black. Black frames would tell it.',
        ], array_map(static fn (MarkedPoint $p): string => $p->says, $missed));
    }

    public function test_what_is_asked_wrong_fails_what_is_right_and_catches_nothing_by_it(): void
    {
        $require = ['picture.resolution' => '100x100'] + self::whole('wren');
        $marking = $this->marked($require);

        self::assertStringContainsString('Resolution asks 100x100 and finds', $marking->points[0]->says);
        self::assertSame(['wrong', 0], [$marking->points[0]->mark, $marking->points[0]->earned]);
        // half the size differs for the same reason as all others, which tells nothing
        self::assertSame('missed', $marking->points[1]->mark);
        self::assertSame(7, $marking->earned());
    }

    public function test_whoever_asks_nothing_has_nothing(): void
    {
        self::assertSame([0, 11], [$this->marked([])->earned(), $this->marked([])->possible()]);
        // a *should* lets everything pass
        $should = ['format.bit_depth' => ['value' => 16, 'level' => 'should']];
        self::assertSame(0, $this->marked($should)->earned());
    }

    public function test_what_contradicts_itself_takes_a_point_away(): void
    {
        $marking = $this->marked(['picture.display_aspect' => '4:3', 'format.kind' => 'jpeg'] + self::whole('wren'));

        $conflicts = array_filter($marking->points, static fn (MarkedPoint $p): bool => $p->about === 'conflict');
        self::assertNotSame([], $conflicts);
        foreach ($conflicts as $conflict) {
            self::assertSame(-1, $conflict->earned);
        }
    }

    public function test_what_cannot_be_read_is_told(): void
    {
        $this->expectException(SpecificationRefused::class);
        $this->marked(['picture.resolution' => 'large']);
    }

    public function test_from_the_console(): void
    {
        self::assertSame(0, $this->run_(['practice', 'make', '--brief', '--for', 'wren', '--into', 'job'])[0]);
        $folder = "{$this->bench->folder}/job";
        $wrapped = (string) preg_replace('~\s+~', ' ', trim((string) file_get_contents("{$folder}/brief.txt")));
        self::assertSame(Brief::of('wren')->text(), $wrapped);
        $mark = ['practice', 'mark', '--exercise', 'job', '--specification', 'job/specification.json'];
        self::assertSame([1, 'missed +0'], [$this->run_($mark)[0], substr($this->run_($mark)[1], 15, 9)]);
        $written = json_decode((string) file_get_contents("{$folder}/specification.json"), true);
        $written['require'] = self::whole('wren');
        file_put_contents("{$folder}/specification.json", json_encode($written));
        [$code, $output] = $this->run_($mark);
        self::assertSame([0, "11 of 11 points\n"], [$code, substr($output, 0, 16)]);
    }
}
