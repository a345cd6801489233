<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\SystemFiles;
use PlainLedger\Core\Text\Text;

/**
 * Settings files packed in a zip archive. Nothing is unpacked to disk, so a name with `../` is just a name; no length
 * that the archive tells is believed.
 */
final readonly class SceneArchive
{
    private const MOST_FILES = 2_000;

    public static function looksLikeOne(string $head): bool
    {
        return str_starts_with($head, "PK\x03\x04") || str_starts_with($head, "PK\x05\x06");
    }

    /**
     * Its files, one after the other. What cannot be read of them is handed on as a sentence.
     *
     * @param  string  $path  of the archive
     * @param  ReadBudget|null  $room  what is left of it for this and other archives; null: for this one alone
     * @return iterable<string, string|JsonRefused> contents by names
     *
     * @throws JsonRefused where the archive itself is of no use
     */
    public static function files(string $path, string $label, ?ReadBudget $room = null): iterable
    {
        $label = Text::shown($label);
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw JsonRefused::because(
                $label,
                'it is no whole zip archive. Pack it once more, or bring the files themselves.',
            );
        }
        try {
            $names = self::names($zip, $label);
            $room ??= ReadBudget::standard();
            foreach ($names as $at => $name) {
                $content = self::content($zip, $at, Text::shown($name), $room);
                $room->take($label, is_string($content) ? strlen($content) : JsonDocument::LARGEST);
                yield Text::shown($name) => $content;
            }
        } finally {
            $zip->close();
        }
    }

    /**
     * @return array<int, string> by their place
     *
     * @throws JsonRefused
     */
    private static function names(\ZipArchive $zip, string $label): array
    {
        $all = $zip->numFiles;
        if ($all > self::MOST_FILES * 2) {
            throw JsonRefused::because(
                $label,
                'it holds '
                    .number_format($all)
                    .' files, and at most '
                    .number_format(self::MOST_FILES)
                    .' settings files are read at once.',
            );
        }
        $names = [];
        for ($at = 0; $at < $all; $at++) {
            $name = $zip->getNameIndex($at, \ZipArchive::FL_ENC_RAW);
            if (is_string($name) && ! str_ends_with($name, '/') && ! SystemFiles::has($name)) {
                $names[$at] = $name;
            }
        }
        if (in_array('xl/workbook.xml', $names, true)) {
            throw JsonRefused::because(
                $label,
                'it is a workbook. Save the sheet as CSV; only the pages of the application read workbooks as '
                    .'they are.',
            );
        }
        if ($names === []) {
            throw JsonRefused::because($label, 'there is no file in it.');
        }
        if (count($names) > self::MOST_FILES) {
            throw JsonRefused::because(
                $label,
                'it holds '
                    .number_format(count($names))
                    .' files, and at most '
                    .number_format(self::MOST_FILES)
                    .' settings files are read at once.',
            );
        }

        return $names;
    }

    private static function content(\ZipArchive $zip, int $at, string $name, ReadBudget $room): string|JsonRefused
    {
        $told = $zip->statIndex($at);
        if (is_array($told) && $told['encryption_method'] !== 0) {
            return JsonRefused::because($name, 'it is locked by a password.');
        }
        $stream = $zip->getStreamIndex($at);
        $read = $stream === false ? null : self::unpacked($stream, min(JsonDocument::LARGEST, $room->bytes()));
        if ($read === null) {
            return JsonRefused::because($name, 'it cannot be unpacked.');
        }
        [$content, $whole] = $read;
        $damaged = ! $whole || (is_array($told) && crc32($content) !== $told['crc']);

        return match (true) {
            strlen($content) > JsonDocument::LARGEST => self::tooLarge($name),
            $damaged => JsonRefused::because($name, 'it is damaged in the archive.'),
            self::looksLikeOne($content) => JsonRefused::because(
                $name,
                'it is an archive within the archive, and is not opened.',
            ),
            default => $content,
        };
    }

    private static function tooLarge(string $name): JsonRefused
    {
        $most = ByteSize::of(JsonDocument::LARGEST);

        return JsonRefused::because(
            $name,
            "unpacked it has more than {$most}, and a settings file has at most that; this is probably another file.",
        );
    }

    /**
     * A few bytes can unpack to gigabytes: it ends where settings would.
     *
     * @param  resource  $stream  closed afterwards
     * @return array{string, bool}|null what was read, and whether that is all of it
     */
    private static function unpacked($stream, int $most): ?array
    {
        $content = '';
        do {
            $piece = @fread($stream, 65_536);
            $content .= (string) $piece;
        } while ($piece !== false && $piece !== '' && ! feof($stream) && strlen($content) <= $most);
        $whole = feof($stream);
        fclose($stream);

        return $piece === false ? null : [$content, $whole];
    }
}
