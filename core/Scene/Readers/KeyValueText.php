<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Text\Text;

/** Settings a line each: `key = value`, `key: value`, `key` and a tab; sections in brackets; lines of remarks. */
final readonly class KeyValueText implements SceneReader
{
    private const REMARK = '~^(?:#|;|//|--|\*)|^[\W_]+$~u';

    private const PAIR = '~^([^=:\t]{1,120}?)\s*(?:=|:(?![\\\\/])|\t)\s*(.*)$~su';

    private const MOST_STRANGE = 50;

    private const MOST_LINES = 50_000;

    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        $lines = preg_split('~\R~u', $text) ?: [];
        if (count($lines) > self::MOST_LINES || strlen($text) > JsonDocument::LARGEST) {
            throw JsonRefused::because(Text::shown($label), 'it has far more lines than a scene has settings.');
        }
        [$told, $strange] = $this->lines(array_map(trim(...), $lines), $map);
        $known = array_filter($told, static fn (array $one): bool => FieldNames::of($one[0], $map) !== null);
        if ($known === []) {
            throw JsonRefused::because(
                Text::shown($label),
                'no setting in it is known here. A settings file has a line for each, such as “resolution = '
                    .'1920x1080”.',
            );
        }

        return NamedValues::understood($told, $strange, $map)->understood();
    }

    /**
     * @param  array<int, string>  $lines
     * @return array{list<array{string, string}>, list<string>} names and values, and lines that are neither
     */
    private function lines(array $lines, ?FieldMap $map): array
    {
        $told = [];
        $strange = [];
        $section = '';
        $remark = static fn (string $line): bool => $line === '' || preg_match(self::REMARK, $line) === 1;
        foreach (array_filter($lines, static fn (string $line): bool => ! $remark($line)) as $number => $line) {
            if (preg_match('~^\[([^\[\]]{1,80})\]$~', $line, $m) === 1) {
                $section = trim($m[1]);
            } elseif (preg_match(self::PAIR, $line, $m) === 1) {
                $told[] = [$this->name($section, trim($m[1], " \t\"'"), $map), $this->value($m[2])];
            } elseif (count($strange) < self::MOST_STRANGE) {
                $strange[] = 'line '.($number + 1).': '.Text::shown(mb_strimwidth($line, 0, 60, '…'));
            }
        }

        return [$told, $strange];
    }

    /**
     * A name that means nothing by itself may mean something with its section, and one that means much may mean
     * nothing.
     */
    private function name(string $section, string $name, ?FieldMap $map): string
    {
        if ($section === '' || ($map?->of($name) !== null && $map->of("{$section}.{$name}") === null)) {
            return $name;
        }

        if (FieldNames::isListOfPasses($section)) {
            return "{$section}.{$name}";
        }

        // `name` below [camera] is the camera's, as `cameraname` would be
        if (FieldNames::isUsual("{$section} {$name}") && $map?->of($name) === null) {
            return "{$section} {$name}";
        }

        // `scale` below [transform] is that of a thing in the scene
        return FieldNames::of($name, $map) !== null
            && $map?->of("{$section}.{$name}") === null
            && FieldNames::of("{$section}.{$name}", $map) !== null
            ? $name
            : "{$section}.{$name}";
    }

    /** Without the quotes around it, and without the comma that some write behind each line. */
    private function value(string $text): string
    {
        $text = trim($text);
        if (preg_match('~^(["\'])(.*)\1[,;]?$~s', $text, $m) === 1) {
            return $m[2];
        }

        return rtrim(trim((string) preg_replace('~\s+(?:#|//).*$~s', '', $text)), ',;');
    }
}
