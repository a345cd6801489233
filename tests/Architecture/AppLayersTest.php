<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which way things go in the application: pages and commands over actions, those over models and the core. */
final class AppLayersTest
{
    /** Each uses those before it. */
    private const ORDER = [
        ['Models', 'Policies'],
        ['Processes', 'Health', 'Rendering', 'Intake', 'Audit', 'Notices', 'Webhooks'],
        ['Actions'],
        ['Http', 'Console'],
    ];

    /** @return iterable<string, Rule> */
    public function testNothingReachesUp(): iterable
    {
        foreach (array_slice(self::ORDER, 0, -1) as $place => $rooms) {
            $above = array_merge(...array_slice(self::ORDER, $place + 1));
            yield implode(' ', $rooms) => PHPat::rule()
                ->classes(...array_map(self::room(...), $rooms))
                ->shouldNot()->dependOn()
                ->classes(...array_map(self::room(...), $above))
                ->because('requests become actions, and actions change models; none of them knows who asked');
        }
    }

    /** What decides about files and work is in the core; controllers ask actions for it. */
    public function testModelsKnowNoRequest(): Rule
    {
        return PHPat::rule()
            ->classes(self::room('Models'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Illuminate\Http'), Selector::inNamespace('Inertia'));
    }

    private static function room(string $room): SelectorInterface
    {
        return Selector::inNamespace("App\\{$room}");
    }
}
