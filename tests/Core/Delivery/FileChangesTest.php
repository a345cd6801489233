<?php

declare(strict_types=1);

namespace Tests\Core\Delivery;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\FileChanges;
use Tests\Core\Support\Workbench;

/** Two deliveries beside each other. */
final class FileChangesTest extends TestCase
{
    public function test_what_is_the_same_was_changed_came_and_went(): void
    {
        $bench = (new Workbench)->frames('v1/a.%04d.png', '1-10', Workbench::png())->put('v1/notes.txt', 'x')
            ->put('v1/old.mov', 'y');
        $before = $bench->scan();
        $bench->without('v1/a.0009.png', 'v1/old.mov')
            // written anew with the same size, and grown with the same time
            ->put('v1/a.0003.png', Workbench::png(), 50)
            ->put('v1/a.0004.png', Workbench::png().'z', 90_000 + 60 * 6)
            ->frames('v1/a.%04d.png', '11-12', Workbench::png())
            ->frames('v2/a.%04d.png', '1-2', Workbench::png())
            ->put('v1/notes.txt', 'xx');
        $changes = array_map(
            static fn (FileChanges $c): array => $c->toArray(),
            FileChanges::between($bench->scan(), $before),
        );

        self::assertSame(
            [
                ['v1', 'a.####.png', '1-2,5-8,10', '3-4', '11-12', '9', ''],
                ['v1', 'notes.txt', '', '', '', '', 'changed'],
                ['v1', 'old.mov', '', '', '', '', 'gone'],
                ['v2', 'a.####.png', '', '', '1-2', '', ''],
            ],
            array_map(array_values(...), $changes),
        );
    }

    public function test_a_delivery_beside_itself_has_not_changed(): void
    {
        $bench = (new Workbench)->frames('v1/a.%04d.png', '1-10', Workbench::png())->put('v1/notes.txt', 'x');
        [$sequence, $notes] = FileChanges::between($bench->scan(), $bench->scan());
        self::assertSame('1-10', (string) $sequence->same);
        self::assertSame(['', '', ''], [
            (string) $sequence->changed, (string) $sequence->come, (string) $sequence->gone,
        ]);
        self::assertSame('same', $notes->word);
    }
}
