<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which way things go in the core and in the console program; read by the static analysis. */
final class CoreLayersTest
{
    /** What a room may use of others' packages, beside exact numbers. */
    private const PACKAGES = ['Messages' => 'Symfony\Component\Mime'];

    /** @return iterable<string, Rule> */
    public function testEachRoomUsesThoseBeforeIt(): iterable
    {
        foreach (Rooms::ORDER as $room) {
            yield $room => PHPat::rule()
                ->classes(self::room($room))
                ->canOnly()->dependOn()
                ->classes(
                    Selector::inNamespace('Brick\Math'),
                    Selector::inNamespace(self::PACKAGES[$room] ?? 'Brick\Math'),
                    ...array_map(self::room(...), Rooms::upTo($room)),
                )
                ->because('the rooms of the core stand in an order, which docs/structure.md draws');
        }
    }

    public function testTheConsoleStandsOnTheCoreAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('PlainLedger\Cli'))
            ->canOnly()->dependOn()
            ->classes(
                Selector::inNamespace('PlainLedger\Cli'),
                Selector::inNamespace('PlainLedger\Core'),
                Selector::inNamespace('PlainLedger\Printing'),
                // the stand-in renderer, which is plain PHP too
                Selector::inNamespace('PlainLedger\Demo'),
                Selector::inNamespace('Brick\Math'),
                Selector::inNamespace('Symfony\Component\Console'),
            )
            ->because('it boots no framework and opens no database');
    }

    /** Pieces of work are begun by `cli/work.php`, and know nothing of the commands. */
    public function testWorkKnowsNoCommand(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('PlainLedger\Cli\Work'))
            ->shouldNot()->dependOn()
            ->classes(Selector::AllOf(
                Selector::inNamespace('PlainLedger\Cli'),
                Selector::Not(Selector::inNamespace('PlainLedger\Cli\Work')),
            ));
    }

    private static function room(string $room): SelectorInterface
    {
        return Selector::inNamespace("PlainLedger\\Core\\{$room}");
    }
}
