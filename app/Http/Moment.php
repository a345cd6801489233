<?php

declare(strict_types=1);

namespace App\Http;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use Illuminate\Support\Carbon;

/**
 * Times as whoever reads the page has them on their clock; the page tells the browser's zone by a cookie. Programs are
 * told them in UTC.
 */
final readonly class Moment
{
    public const COOKIE = 'zone';

    /** The reader's zone; the installation's where none is told or it is none. Looked up once a request. */
    public static function zone(): string
    {
        $known = request()->attributes->get(self::COOKIE);
        if (is_string($known)) {
            return $known;
        }
        $told = request()->cookie(self::COOKIE);
        $zone = is_string($told) && self::isZone($told) ? $told : (string) config('app.timezone');
        request()->attributes->set(self::COOKIE, $zone);

        return $zone;
    }

    public static function isZone(string $name): bool
    {
        return in_array($name, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true);
    }

    /** A day and a time; the year where it is another than this one. */
    public static function told(DateTimeInterface $at): string
    {
        return self::said($at, 'j M', ', H:i');
    }

    public static function day(DateTimeInterface $at): string
    {
        return self::said($at, 'j M', '');
    }

    /** With the day of the week, for what is still to come. */
    public static function due(DateTimeInterface $at): string
    {
        return self::said($at, 'l j M', ', H:i');
    }

    public static function withSeconds(DateTimeInterface $at): string
    {
        return self::said($at, 'j M', ', H:i:s');
    }

    public static function time(DateTimeInterface $at): string
    {
        return self::local($at)->format('H:i');
    }

    /** As a field for a day and a time has it. */
    public static function field(?DateTimeInterface $at): string
    {
        return $at === null ? '' : self::local($at)->format('Y-m-d\TH:i');
    }

    /** The same on the clock of a place of its own, as a course has one. */
    public static function inZone(?DateTimeInterface $at, string $zone): string
    {
        return $at === null ? '' : Carbon::instance($at)->setTimezone($zone)->format('Y-m-d\TH:i');
    }

    /** What was typed on the reader's clock, or on that of another place; null where nothing was. */
    public static function typed(mixed $text, ?string $zone = null): ?Carbon
    {
        return is_string($text) && trim($text) !== '' ? Carbon::parse($text, $zone ?? self::zone())->utc() : null;
    }

    private static function said(DateTimeInterface $at, string $day, string $time): string
    {
        $clock = self::clock();
        // programs read the standard's form (RFC 3339)
        if ($clock['now'] === null) {
            return Carbon::instance($at)->toIso8601ZuluString();
        }
        $stamp = $at->getTimestamp();
        $isThisYear = $stamp >= $clock['from'] && $stamp < $clock['to'];

        return $clock['now']->setTimestamp($stamp)->format($day.($isThisYear ? '' : ' Y').$time);
    }

    /**
     * What every time of a page is told by: boards write a thousand of them.
     *
     * @return array{now: DateTimeImmutable|null, from: int, to: int}  now: in the reader's zone, null where a program
     *   asks; from and to: where this year begins there and ends, in seconds since 1970
     */
    private static function clock(): array
    {
        $request = request();
        $clock = $request->attributes->get('clock');
        if (! is_array($clock)) {
            $isProgram = str_starts_with($request->getPathInfo(), '/api/');
            $now = self::local(Carbon::now());
            $year = (int) $now->format('Y');
            $clock = [
                'now' => $isProgram ? null : $now,
                'from' => $now->setDate($year, 1, 1)->setTime(0, 0)->getTimestamp(),
                'to' => $now->setDate($year + 1, 1, 1)->setTime(0, 0)->getTimestamp(),
            ];
            $request->attributes->set('clock', $clock);
        }

        /** @var array{now: DateTimeImmutable|null, from: int, to: int} $clock */
        return $clock;
    }

    /** No more is made of one than it takes. */
    private static function local(DateTimeInterface $at): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$at->getTimestamp()))->setTimezone(new DateTimeZone(self::zone()));
    }
}
