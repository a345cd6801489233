<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Tests\Architecture\Rooms;

/** The page that says where things live, held against where they do. */
final class StructureTest extends TestCase
{
    private const PAGE = __DIR__.'/../../docs/structure.md';

    public function test_it_draws_the_rooms_of_the_core_in_their_order(): void
    {
        self::assertSame(Rooms::ORDER, self::drawn('core/'));
        self::assertSame(self::sorted(Rooms::ORDER), self::folders('core'));
    }

    public function test_it_names_every_room_of_the_application(): void
    {
        self::assertSame(self::folders('app'), self::sorted(self::drawn('app/')));
    }

    public function test_what_it_names_is_there(): void
    {
        $page = (string) file_get_contents(self::PAGE);
        preg_match_all('~`((?:[A-Z]\w+\\\\)+[A-Z]\w+)(?:::\w+(?:\(\))?)?`~', $page, $names);
        $missing = array_filter($names[1], static function (string $name): bool {
            $path = str_replace('\\', '/', $name);

            return array_filter(
                ["core/{$path}", "core/{$path}.php", "app/{$path}.php", "cli/{$path}.php"],
                static fn (string $place): bool => file_exists(__DIR__."/../../{$place}"),
            ) === [];
        });
        self::assertSame([], array_values($missing));
        self::assertGreaterThan(30, count($names[1]));
    }

    /** @return list<string> the rooms below a heading of a picture */
    private static function drawn(string $heading): array
    {
        $lines = explode("\n", (string) file_get_contents(self::PAGE));
        $rooms = [];
        $isBelow = false;
        foreach ($lines as $line) {
            $isBelow = str_starts_with($line, $heading) || ($isBelow && str_starts_with($line, '  '));
            if ($isBelow && preg_match('~^  (\w+) ~', $line, $m) === 1) {
                $rooms[] = $m[1];
            }
        }

        return $rooms;
    }

    /** @return list<string> */
    private static function folders(string $place): array
    {
        return self::sorted(array_map(basename(...), glob(__DIR__."/../../{$place}/*", GLOB_ONLYDIR) ?: []));
    }

    /**
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function sorted(array $names): array
    {
        sort($names);

        return $names;
    }
}
