<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** Settings in whatever form somebody could get them, told apart by what they begin with. */
final readonly class DetectingReader implements SceneReader
{
    /** What is said of a file that is no UTF-8 where it should be. */
    public const LATIN = 'Names in it are no UTF-8; they were read as Latin-1';

    /**
     * One scene.
     *
     * @throws JsonRefused where there are several, too
     */
    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        $scenes = $this->scenes($text, $label, $map);
        if (count($scenes) > 1) {
            throw JsonRefused::because(
                Text::shown($label),
                'it tells of '
                    .count($scenes)
                    .' scenes ('
                    .Text::series(
                        array_slice(
                            array_map(
                                static fn (RawScene $s): string => Text::shown($s->whose[0] ?? $s->label),
                                $scenes,
                            ),
                            0,
                            3,
                        ),
                    )
                    .(count($scenes) > 3 ? ' …' : '')
                    .'), and one is expected here.',
            );
        }

        return $scenes[0]->settings;
    }

    /**
     * All that there are in it: a sheet can tell of many.
     *
     * @return non-empty-list<RawScene>
     *
     * @throws JsonRefused
     */
    public function scenes(string $text, string $label, ?FieldMap $map = null): array
    {
        $decoded = $this->decoded($text, $label);
        $plain = mb_check_encoding($decoded, 'UTF-8')
            ? $decoded
            : mb_convert_encoding($decoded, 'UTF-8', 'Windows-1252');
        $start = ltrim(substr($decoded, 0, 4096));
        $isJson = str_starts_with($start, '{') || $start === '' || str_ends_with(strtolower($label), '.json');
        if ($isJson) {
            return [self::one($this->json($decoded, $start, $label, $map), $label, $text)];
        }
        if (str_starts_with($start, '#usda')) {
            return [self::one((new UsdScene)->read($decoded, $label), $label, $text)];
        }
        // the cells of a workbook come as separated values, under the workbook's name
        if (preg_match('~\.(?:csv|tsv|xlsx)$~i', $label) === 1 || self::looksLikeTable($plain, $map)) {
            return $this->table($text, $label, $map);
        }
        $scene = (new KeyValueText)->read($plain, $label, $map);

        return [self::one($plain === $decoded ? $scene : $scene->withNotUnderstood(self::LATIN), $label, $text)];
    }

    private function json(string $decoded, string $start, string $label, ?FieldMap $map): SceneSettings
    {
        $json = str_starts_with($start, '{')
            ? json_decode($decoded, true, JsonDocument::DEEPEST, JSON_BIGINT_AS_STRING)
            : null;
        $reader = is_array($json) && FlatJson::looksLikeIt($json) ? new FlatJson : new SceneJson;

        return $reader->read($decoded, $label, $map);
    }

    /** @return non-empty-list<RawScene> */
    private function table(string $text, string $label, ?FieldMap $map): array
    {
        try {
            $scenes = SettingsTable::read(SeparatedValues::cells($text, $label), $label, $map);
        } catch (TableRefused $refused) {
            throw JsonRefused::because(Text::shown($label), $refused->reason(), $refused);
        }
        if ($scenes === []) {
            throw JsonRefused::because(Text::shown($label), 'below its names there are no values.');
        }

        return $scenes;
    }

    private static function one(SceneSettings $settings, string $label, string $content): RawScene
    {
        return new RawScene(
            $label,
            $content,
            $settings,
            array_values(
                array_filter(
                    [
                        (string) preg_replace('~\.[A-Za-z]{2,6}$~', '', basename(strtr($label, '\\', '/'))),
                        $settings->source->file ?? '',
                    ],
                    static fn (string $w): bool => $w !== '',
                ),
            ),
        );
    }

    /** A first line of several names between the same separators, as a sheet has when it is copied. */
    private static function looksLikeTable(string $text, ?FieldMap $map): bool
    {
        [$first, $second] = array_pad(preg_split('~\R~u', trim(substr($text, 0, 20_000)), 3) ?: [], 2, '');
        if (preg_match('~[=:]~', $first) === 1) {
            // “passes: beauty, depth, alpha” is a line of its own, however many of its words are names
            return false;
        }
        foreach (["\t", ';', ',', '|'] as $between) {
            $cells = array_map(static fn (string $cell): string => trim($cell, " \"'"), explode($between, $first));
            $known = array_filter($cells, static fn (string $cell): bool => FieldNames::of($cell, $map) !== null);
            // a line “fps<tab>24” is a setting; names alone are the head of a sheet
            $isHead = count($cells) > 2 && count($known) >= max(2, count($cells) / 2);
            if ($isHead && substr_count($second, $between) >= 2) {
                return true;
            }
        }

        return false;
    }

    /**
     * From a file. A scene in USD may be of any size.
     *
     * @throws JsonRefused
     */
    public function open(string $path, ?FieldMap $map = null): SceneSettings
    {
        try {
            $source = FileSource::open($path);
        } catch (SourceUnreadable $gone) {
            throw JsonRefused::because($path, $gone->reason().'.', $gone);
        }
        if (str_starts_with(ltrim($source->read(0, 4096)), '#usda')) {
            return UsdScene::from($source, $path);
        }

        return $this->read(TextFile::read($path, $path), $path, $map);
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
        if (str_starts_with($bytes, "PK\x03\x04") && str_contains($bytes, 'xl/workbook.xml')) {
            throw JsonRefused::because(
                Text::shown($label),
                'it is a workbook. Save the sheet as CSV; only the pages of the application read workbooks as '
                    .'they are.',
            );
        }
        if (str_starts_with($bytes, 'PXR-USDC') || str_starts_with($bytes, "PK\x03\x04")) {
            throw JsonRefused::because(
                Text::shown($label),
                'it is USD in its binary form, or an archive. Save the scene, or its render settings, as USD text '
                    .'(.usda); archives are read where many scenes are brought at once.',
            );
        }
        if (str_contains(substr($text, 0, 4096), "\0")) {
            throw JsonRefused::because(
                Text::shown($label),
                'it is no text. Settings come as a plain-ledger/scene document, as USD text, as lines of “key = '
                    .'value”, or as a sheet saved as CSV.',
            );
        }

        return $text;
    }
}
