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

/** Settings as an object of JSON under a program's own names, however deep they lie. */
final readonly class FlatJson implements SceneReader
{
    private const MOST = 5_000;

    /** @param  array<mixed>  $data */
    public static function looksLikeIt(array $data): bool
    {
        if ($data === [] || array_is_list($data)) {
            return false;
        }
        // a document of ours says so, or has its members where ours have them
        $format = $data['format'] ?? null;
        $says = is_string($format) && str_starts_with($format, 'plain-ledger');
        $members = array_filter(['version', 'require', 'outputs'], static fn (string $key): bool => isset($data[$key]));
        $nested = array_filter(
            ['settings', 'scene', 'parts'],
            static fn (string $key): bool => is_array($data[$key] ?? null),
        );

        return ! $says && $members === [] && $nested === [];
    }

    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        $data = json_decode($text, true, JsonDocument::DEEPEST, JSON_BIGINT_AS_STRING);
        $told = [];
        self::flatten(is_array($data) ? $data : [], '', $told);
        if (count($told) > self::MOST) {
            throw JsonRefused::because(Text::shown($label), 'it has far more members than a scene has settings.');
        }
        if (array_filter($told, static fn (array $t): bool => FieldNames::of($t[0], $map) !== null) === []) {
            throw JsonRefused::because(
                Text::shown($label),
                'it does not say what it is; "format": "'
                    .SceneJson::FORMAT
                    .'" is missing, and no member of it is a setting known here.',
            );
        }

        return NamedValues::understood($told, [], $map)->understood();
    }

    /**
     * @param  array<mixed>  $data
     * @param  list<array{string, string}>  $told
     */
    private static function flatten(array $data, string $before, array &$told): void
    {
        foreach (array_filter(
            $data,
            static fn (mixed $value): bool => $value !== [] && $value !== null,
        ) as $key => $value) {
            if (count($told) > self::MOST) {
                return;
            }
            $name = $before === '' ? (string) $key : "{$before}.{$key}";
            if (is_array($value) && ! array_is_list($value)) {
                self::flatten($value, $name, $told);
            } else {
                $told[] = [$name, is_array($value) ? self::listText(array_values($value), $name) : self::text($value)];
            }
        }
    }

    /**
     * Two numbers are a size, or a range where the name says so.
     *
     * @param  list<mixed>  $list
     */
    private static function listText(array $list, string $name): string
    {
        if (count(array_filter($list, is_scalar(...))) < count($list)) {
            return (string) json_encode($list, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        }
        $numbers = count($list) === 2 && array_filter($list, is_int(...)) === $list;
        $isRange = preg_match('~range|frames|timeline~i', $name) === 1;
        $between = match (true) {
            ! $numbers => ', ',
            $isRange => '-',
            default => 'x',
        };

        return implode($between, array_map(self::text(...), $list));
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value === true => 'yes',
            $value === false => 'no',
            is_string($value) => $value,
            default => (string) json_encode($value),
        };
    }
}
