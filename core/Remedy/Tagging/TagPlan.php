<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NumberedPattern;

/** The files that a check says are only tagged otherwise, and with what. */
final readonly class TagPlan
{
    private const KIND = 'retag';

    /**
     * @param  array<string, mixed>  $check  a `plain-ledger/check` document
     * @return list<TagWork>
     *
     * @throws TagRefused
     */
    public static function of(array $check): array
    {
        $tags = [];
        foreach (self::rows($check, 'fixes') as $fix) {
            if (($fix['kind'] ?? null) !== self::KIND) {
                continue;
            }
            $paths = self::paths($check, $fix);
            if ($paths === []) {
                $part = self::text($fix, 'part');
                throw TagRefused::because('', "the check does not tell which file of “{$part}” is meant");
            }
            foreach ($paths as $path) {
                $tags[$path] = ($tags[$path] ?? new Tags)->with(self::text($fix, 'id'), self::text($fix, 'to'));
            }
        }

        return array_map(
            static fn (string|int $path, Tags $each): TagWork => new TagWork((string) $path, $each),
            array_keys($tags),
            $tags,
        );
    }

    /**
     * @param  array<string, mixed>  $check
     * @param  array<string, mixed>  $fix
     * @return list<string>
     */
    private static function paths(array $check, array $fix): array
    {
        $isOfPart = static fn (array $row): bool => ($row['part'] ?? null) === ($fix['part'] ?? null)
            && (! isset($fix['pass']) || ($row['pass'] ?? null) === $fix['pass']);
        $paths = [];
        foreach (array_filter(self::rows($check, 'movies'), $isOfPart) as $movie) {
            $paths[] = self::text($movie, 'path');
        }
        foreach (array_filter(self::rows($check, 'sequences'), $isOfPart) as $sequence) {
            $told = self::text($fix, 'frames');
            $frames = FrameRange::parse($told === '' ? self::text($sequence, 'present') : $told);
            $folder = self::text($sequence, 'folder');
            foreach ($frames->numbers() as $frame) {
                $paths[] = ($folder === '' ? '' : "{$folder}/")
                    .NumberedPattern::nameOf(self::text($sequence, 'pattern'), $frame);
            }
        }

        return $paths;
    }

    /**
     * @param  array<string, mixed>  $check
     * @return list<array<string, mixed>>
     */
    private static function rows(array $check, string $key): array
    {
        $rows = is_array($check[$key] ?? null) ? $check[$key] : [];

        /** @var list<array<string, mixed>> */
        return array_values(array_filter($rows, is_array(...)));
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $key): string
    {
        return is_string($row[$key] ?? null) ? $row[$key] : '';
    }
}
