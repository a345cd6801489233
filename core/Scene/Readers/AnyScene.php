<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\JsonDocument;
use PlainLedger\Core\JsonRefused;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Scene\SceneSettings;

/** Settings in whatever form somebody could get them, told apart by what they begin with. */
final readonly class AnyScene implements SceneReader
{
    public function read(string $text, string $label): SceneSettings
    {
        $text = $this->decoded($text, $label);
        $start = ltrim(substr($text, 0, 4096));

        return match (true) {
            str_starts_with($start, '{'), $start === '', str_ends_with(strtolower($label), '.json') => (new SceneJson)->read($text, $label),
            str_starts_with($start, '#usda') => (new UsdScene)->read($text, $label),
            default => (new KeyValueText)->read(mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252'), $label),
        };
    }

    /**
     * From a file. A scene in USD may be of any size.
     *
     * @throws JsonRefused
     */
    public function open(string $path): SceneSettings
    {
        $head = is_file($path) ? (string) @file_get_contents($path, length: 4096) : '';

        return str_starts_with(ltrim($head), '#usda') ? UsdScene::from(FileSource::open($path), $path) : $this->read(JsonDocument::textOf($path, $path), $path);
    }

    /** Without the mark of its encoding, and from UTF-16 where that says so. */
    private function decoded(string $bytes, string $label): string
    {
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            default => $bytes,
        };
        if (str_starts_with($bytes, 'PXR-USDC') || str_starts_with($bytes, "PK\x03\x04")) {
            throw JsonRefused::because(Text::shown($label), 'it is USD in its binary form, or an archive. Save the scene, or its render settings, as USD text (.usda).');
        }
        if (str_contains(substr($text, 0, 4096), "\0")) {
            throw JsonRefused::because(Text::shown($label), 'it is no text. Settings come as a plain-ledger/scene document, as USD text, or as lines of “key = value”.');
        }

        return $text;
    }
}
