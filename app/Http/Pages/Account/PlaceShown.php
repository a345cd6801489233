<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Somewhere that somebody is signed in. */
final readonly class PlaceShown
{
    private const MOST = 50;

    /** What browsers say of themselves, the more particular first. */
    private const BROWSERS = ['Edg' => 'Edge', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];

    private const SYSTEMS = [
        'Android' => 'Android', 'iPhone' => 'a phone', 'iPad' => 'a tablet', 'Windows' => 'Windows',
        'Macintosh' => 'a Mac', 'Linux' => 'Linux',
    ];

    private function __construct(public string $with, public string $from, public string $seen, public bool $isHere) {}

    /** @return list<self> of one person, the newest first */
    public static function of(int $user, string $here): array
    {
        if (config('session.driver') !== 'database') {
            return [];
        }
        $rows = DB::connection((string) config('session.connection'))
            ->table((string) config('session.table'))
            ->where('user_id', $user)
            ->orderByDesc('last_activity')
            ->limit(self::MOST)
            ->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return array_values($rows->map(static fn (\stdClass $row): self => new self(
            self::spoken((string) $row->user_agent),
            (string) $row->ip_address,
            Carbon::createFromTimestamp((int) $row->last_activity)->diffForHumans(),
            $row->id === $here,
        ))->all());
    }

    private static function spoken(string $agent): string
    {
        $named = static function (array $words) use ($agent): ?string {
            foreach ($words as $sign => $name) {
                if (str_contains($agent, (string) $sign)) {
                    return (string) $name;
                }
            }

            return null;
        };
        $browser = $named(self::BROWSERS);
        $system = $named(self::SYSTEMS);

        return match (true) {
            $browser === null => 'another program',
            $system === null => $browser,
            default => "{$browser} on {$system}",
        };
    }
}
