<?php

declare(strict_types=1);

namespace PlainLedger\Core\Json;

use PlainLedger\Core\Text\Text;

/** One of our JSON documents: an object with a format and a version (RFC 8259). */
final readonly class JsonDocument
{
    /** A settings file is a few kilobytes; this leaves room for long lists of links. */
    public const LARGEST = 4_000_000;

    public const DEEPEST = 24;

    /** @param  array<string, mixed>  $data */
    private function __construct(public array $data, public string $label) {}

    /**
     * @param  int  $most  bytes
     *
     * @throws JsonRefused with line and column where it is not JSON
     */
    public static function parse(string $text, string $label, string $format, int $most = self::LARGEST): self
    {
        $label = Text::shown($label);
        $data = self::decoded($text, $label, $most);
        if (! is_array($data) || ($data !== [] && array_is_list($data))) {
            throw JsonRefused::because(
                $label,
                "it is not a JSON object; a document begins with {\"format\": \"{$format}\", \"version\": 1, …}.",
            );
        }
        self::expectFormat($data['format'] ?? null, $label, $format);
        self::expectVersion($data['version'] ?? null, $label);

        return new self(self::asObject($data, $label, 'it'), $label);
    }

    /** @throws JsonRefused */
    private static function decoded(string $text, string $label, int $most): mixed
    {
        if (strlen($text) > $most) {
            throw JsonRefused::tooLarge($label, strlen($text), $most);
        }
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        if (trim($text) === '') {
            throw JsonRefused::because($label, 'the file is empty.');
        }
        $data = json_decode($text, true, self::DEEPEST, JSON_BIGINT_AS_STRING);

        return match (json_last_error()) {
            JSON_ERROR_NONE => $data,
            JSON_ERROR_DEPTH => throw JsonRefused::because(
                $label,
                'it is nested deeper than '.self::DEEPEST.' levels.',
            ),
            default => throw JsonRefused::because($label, JsonFault::find($text)),
        };
    }

    private static function expectFormat(mixed $told, string $label, string $format): void
    {
        if ($told !== $format) {
            throw JsonRefused::because($label, $told === null
                ? "it does not say what it is; \"format\": \"{$format}\" is missing."
                : 'its format is “'.self::brief($told)."”, and “{$format}” is needed here.");
        }
    }

    private static function expectVersion(mixed $told, string $label): void
    {
        if ($told !== 1) {
            throw JsonRefused::because($label, $told === null
                ? '"version": 1 is missing.'
                : 'it is written in version '.self::brief($told).' of its format, and version 1 can be read here.');
        }
    }

    /**
     * A member that must be an object where it is given.
     *
     * @return array<string, mixed>
     *
     * @throws JsonRefused
     */
    public function object(string $key): array
    {
        return self::asObject($this->data[$key] ?? [], $this->label, "\"{$key}\"");
    }

    /** @throws JsonRefused */
    public function text(string $key): ?string
    {
        $value = $this->data[$key] ?? null;
        if ($value !== null && ! is_string($value)) {
            throw JsonRefused::because(
                $this->label,
                "\"{$key}\" must be a text, and ".self::typeOf($value).' stands there.',
            );
        }

        return $value;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws JsonRefused
     */
    public static function asObject(mixed $value, string $label, string $where): array
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw JsonRefused::because(
                $label,
                "{$where} must be an object, and ".self::typeOf($value).' stands there.',
            );
        }
        $keyed = [];
        foreach ($value as $key => $item) {
            $keyed[(string) $key] = $item;
        }

        return $keyed;
    }

    /**
     * The same, one by one: a name that is a number stays a text, which the keys of an array do not keep.
     *
     * @return \Generator<string, mixed>
     *
     * @throws JsonRefused unless it is an object
     */
    public static function entries(mixed $value, string $label, string $where): \Generator
    {
        foreach (self::asObject($value, $label, $where) as $key => $item) {
            yield (string) $key => $item;
        }
    }

    public static function typeOf(mixed $value): string
    {
        return match (true) {
            is_string($value) => 'the text “'.self::brief($value).'”',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value), is_float($value) => 'the number '.self::brief($value),
            $value === null => 'null',
            is_array($value) && array_is_list($value) => 'a list',
            default => 'an object',
        };
    }

    private static function brief(mixed $value): string
    {
        return is_scalar($value)
            ? mb_strimwidth(Text::shown(is_string($value) ? $value : (string) json_encode($value)), 0, 40, '…')
            : self::typeOf($value);
    }
}
