<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

/** From when to when a log was written, by the clock at the beginning of its lines: `2026-11-25 21:04:10`. */
final readonly class LoggedTime
{
    public function __construct(public ?string $first, public ?string $last, public int $lines) {}

    /** 0 where it is not told; digits that look like a clock need be none. */
    public function seconds(): int
    {
        $began = self::moment($this->first);
        $ended = self::moment($this->last);

        return $began === null || $ended === null ? 0 : $ended - $began;
    }

    private static function moment(?string $clock): ?int
    {
        $zone = new \DateTimeZone('UTC');
        $moment = $clock === null ? false : \DateTimeImmutable::createFromFormat('!Y-m-d H:i:s', $clock, $zone);

        return $moment === false ? null : $moment->getTimestamp();
    }
}
