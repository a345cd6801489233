<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
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
        $ours = (is_string($format) && str_starts_with($format, 'plain-ledger'))
            || isset($data['version'])
            || isset($data['require'])
            || isset($data['outputs']);

        return ! $ours
            && ! is_array($data['settings'] ?? null)
            && ! is_array($data['scene'] ?? null)
            && ! is_array($data['parts'] ?? null);
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

        return FieldNames::understood($told, [], $map)->understood();
    }

    /**
     * @param  array<mixed>  $data
     * @param  list<array{string, string}>  $told
     */
    private static function flatten(array $data, string $before, array &$told): void
    {
        foreach ($data as $key => $value) {
            if (count($told) > self::MOST) {
                return;
            }
            $name = $before === '' ? (string) $key : "{$before}.{$key}";
            if (is_array($value) && $value !== [] && ! array_is_list($value)) {
                self::flatten($value, $name, $told);
            } elseif ($value === []) {
                continue;
            } elseif (is_array($value)) {
                $plain = array_filter($value, is_scalar(...));
                $numbers = count($value) === 2 && array_filter($value, is_int(...)) === $value;
                $told[] = [
                    $name,
                    count($plain) === count($value)
                        ? implode(
                            $numbers ? (preg_match('~range|frames|timeline~i', $name) === 1 ? '-' : 'x') : ', ',
                            array_map(self::text(...), $value),
                        )
                        : (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                ];
            } elseif ($value !== null) {
                $told[] = [$name, self::text($value)];
            }
        }
    }

    private static function text(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'yes' : 'no') : (is_string($value) ? $value : (string) json_encode($value));
    }
}
