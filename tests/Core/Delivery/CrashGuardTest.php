<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\CrashGuard;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Delivery\ScanPlace;
use PlainLedger\Core\Delivery\ScanStage;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SampleOptions;
use PlainLedger\Core\Media\ScanDepth;
use Tests\Core\Support\Workbench;

/** What has broken off a scan is not done again with the same file, and only that. */
final class CrashGuardTest extends TestCase
{
    /** @var list<string> */
    private array $announced = [];

    /** @param  array<string, list<ScanStage>>  $avoided */
    private function scan(Workbench $bench, ScanDepth $depth, array $avoided): Delivery
    {
        $caution = new CrashGuard($avoided, function (string $path, ScanStage $stage): void {
            $this->announced[] = "{$stage->value} {$path}";
        });

        return (
            new Scan(
                FolderListing::of("{$bench->folder}/in"),
                Probe::standard(),
                $depth,
                PixelSampler::standard(new SampleOptions(false)),
                true,
                $caution,
            )
        )->run(0);
    }

    private static function facts(Delivery $delivery, int $frame): MediaFacts
    {
        $group = array_values(array_filter($delivery->groups, static fn ($g): bool => $g->columnCount() === 1))[0];

        return $delivery->factsOf($group, (int) array_search($frame, $group->numbers(0)->all(), true));
    }

    private static function bench(): Workbench
    {
        $bench = (new Workbench)->frames('in/a.%04d.png', '1-3', Workbench::png());

        return $bench->put(
            'in/sums.sha256',
            implode(
                '',
                array_map(
                    static fn (int $n): string => hash('sha256', Workbench::png()).sprintf("  a.%04d.png\n", $n),
                    [1, 2, 3],
                ),
            ),
        );
    }

    public function test_each_step_is_announced_before_it_is_taken(): void
    {
        $this->scan(self::bench(), ScanDepth::Quick, []);
        sort($this->announced);

        self::assertSame(
            [
                'look a.0001.png', 'look a.0002.png', 'look a.0003.png', 'look sums.sha256', 'quick a.0001.png',
                'quick a.0002.png', 'quick a.0003.png', 'quick sums.sha256', 'sum a.0001.png', 'sum a.0002.png',
                'sum a.0003.png',
            ],
            $this->announced,
        );
    }

    public function test_what_did_not_survive_every_byte_is_read_by_head_and_tail(): void
    {
        $delivery = $this->scan(self::bench(), ScanDepth::Full, ['a.0002.png' => [ScanStage::Full]]);

        self::assertContains('quick a.0002.png', $this->announced);
        self::assertNotContains('full a.0002.png', $this->announced);
        self::assertSame(
            [64, null, CrashGuard::WHY],
            [
                self::facts($delivery, 2)->picture->width,
                self::facts($delivery, 2)->wholeness->complete,
                self::facts($delivery, 2)->unread(),
            ],
        );
        self::assertTrue(self::facts($delivery, 1)->wholeness->complete);
    }

    public function test_what_did_not_survive_that_is_told_as_one_that_cannot_be_read(): void
    {
        $delivery = $this->scan(self::bench(), ScanDepth::Full, ['a.0002.png' => [ScanStage::Full, ScanStage::Quick]]);

        self::assertSame(
            [Damage::Unreadable, CrashGuard::WHY],
            [self::facts($delivery, 2)->damage(), self::facts($delivery, 2)->wholeness->reason],
        );
        self::assertSame(
            1,
            count(
                array_filter(
                    $delivery->groups[0]->numbers(0)->all(),
                    static fn (int $n): bool => self::facts($delivery, $n)->damage() !== null,
                ),
            ),
        );
    }

    public function test_pixels_and_sums_are_left_out_likewise(): void
    {
        $delivery = $this->scan(
            self::bench(),
            ScanDepth::Quick,
            ['a.0001.png' => [ScanStage::Look], 'a.0003.png' => [ScanStage::Sum]],
        );
        $group = array_values(array_filter($delivery->groups, static fn ($g): bool => $g->columnCount() === 1))[0];
        $row = (int) array_search(1, $group->numbers(0)->all(), true);

        self::assertSame([null, CrashGuard::WHY], [$group->sample($row), $group->unsampledReason($row)]);
        self::assertTrue(self::facts($delivery, 1)->isWhole());
        self::assertSame([1, ['a.0003.png']], [$delivery->checksums?->wrong, $delivery->checksums?->names]);
    }

    public function test_an_order_is_the_same_on_the_other_side(): void
    {
        $order = new ScanOrder(
            new ScanPlace("/r\xE9nders", "h\xE4nded in.zip", '/spool/known'),
            ScanDepth::Full,
            new ContentOrder(
                ['compares' => true, 'dark' => '1/255', 'approved' => [7 => 'a.png']],
                [7 => ['folder' => "/\xFF", 'name' => 'a.png']],
                true,
            ),
            '/spool',
            5,
            ["b\xE9.png" => ['look'], '5' => ['full', 'quick']],
            true,
        );

        self::assertEquals($order, ScanOrder::read($order->write()));
    }
}
