<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** What a text is: a document that says so itself, a table, a log, or settings. */
final readonly class TextContent
{
    /** Settings that a text must at least tell to be taken for settings. */
    private const LEAST_SETTINGS = 2;

    /** Frames that a log must at least tell of. */
    private const LEAST_FRAMES = 2;

    /** @param  list<LogShape>  $shapes */
    public function __construct(private FieldMap $map, private array $shapes) {}

    /**
     * @param  bool  $isWhole  whether the text is all of the file
     * @param  list<string>  $whose
     */
    public function of(string $name, string $text, bool $isWhole, array $whose): Brought
    {
        if (str_starts_with(ltrim($text), '{')) {
            return $this->json($name, $text, $isWhole, $whose);
        }

        return (new TableContent($this->map))->of($name, $text, $whose)
            ?? $this->log($text, $whose)
            ?? $this->settings($name, $text, $isWhole, $whose)
            ?? new Brought(BroughtKind::Unknown, 'a text in which nothing is known here', $whose);
    }

    /** @param  list<string>  $whose */
    private function json(string $name, string $text, bool $isWhole, array $whose): Brought
    {
        if (! $isWhole) {
            return self::longDocument($text, $whose);
        }
        $data = json_decode($text, true, JsonDocument::DEEPEST);
        if (! is_array($data)) {
            return new Brought(BroughtKind::Unknown, 'a JSON document that is damaged', $whose);
        }
        if (isset($data['OTIO_SCHEMA'])) {
            return self::timeline($name, $text, $whose);
        }

        return $this->document($data['format'] ?? null, $name, $text, $whose);
    }

    /**
     * By its beginning alone.
     *
     * @param  list<string>  $whose
     */
    private static function longDocument(string $text, array $whose): Brought
    {
        return str_contains(substr($text, 0, 4096), '"OTIO_SCHEMA"')
            ? new Brought(BroughtKind::DeliverableList, 'a timeline', $whose)
            : new Brought(BroughtKind::Unknown, 'a long document that cannot be known by its beginning', $whose);
    }

    /**
     * By the format that it says itself; none: settings as an exporter writes them.
     *
     * @param  list<string>  $whose
     */
    private function document(mixed $format, string $name, string $text, array $whose): Brought
    {
        $isOurs = is_string($format) && str_starts_with($format, 'plain-ledger/');
        $unknown = new Brought(BroughtKind::Unknown, 'a JSON document in which nothing is known here', $whose);

        return match ($format) {
            FieldMap::FORMAT => new Brought(BroughtKind::Names, 'names of settings, and what they mean'),
            Specification::FORMAT => new Brought(BroughtKind::Document, 'a specification', $whose),
            SceneJson::FORMAT => new Brought(BroughtKind::Settings, 'the settings of a scene', $whose),
            null => $this->settings($name, $text, true, $whose) ?? $unknown,
            default => $isOurs
                ? new Brought(
                    BroughtKind::Document,
                    'a document that was written here ('.substr((string) $format, 13).')',
                    $whose,
                )
                : $unknown,
        };
    }

    /** @param  list<string>  $whose */
    private static function timeline(string $name, string $text, array $whose): Brought
    {
        try {
            $clips = count(Timeline::read($text, $name)[0]);
        } catch (TableRefused $refused) {
            return new Brought(BroughtKind::Unknown, 'a timeline: '.$refused->reason(), $whose);
        }

        return new Brought(BroughtKind::DeliverableList, 'a timeline of '.Text::count($clips, 'clip'), $whose);
    }

    /** @param  list<string>  $whose */
    private function log(string $text, array $whose): ?Brought
    {
        $shape = LogReader::guess($text, $this->shapes);
        if ($shape === null) {
            return null;
        }
        $reader = new LogReader($shape);
        $reader->feed($text);
        $reading = $reader->reading();
        $frames = $reading->frames->finished->count() + $reading->frames->begun->count();
        if ($frames < self::LEAST_FRAMES) {
            return null;
        }
        $file = $reading->lastFile === null ? [] : [basename(strtr($reading->lastFile, '\\', '/'))];

        return new Brought(
            BroughtKind::RenderLog,
            'a render log that tells of '.Text::count($frames, 'frame'),
            [...$file, ...$whose],
        );
    }

    /** @param  list<string>  $whose */
    private function settings(string $name, string $text, bool $isWhole, array $whose): ?Brought
    {
        $isScene = str_starts_with(ltrim($text), '#usda');
        if ($isScene && ! $isWhole) {
            return new Brought(BroughtKind::Settings, 'a scene in USD', $whose);
        }
        try {
            $scenes = (new DetectingReader)->scenes($text, $name, $this->map);
        } catch (JsonRefused) {
            return null;
        }
        $told = array_sum(array_map(
            static fn (RawScene $s): int => count($s->settings->all()) + 2 * count($s->settings->outputs),
            $scenes,
        ));
        if ($told < self::LEAST_SETTINGS) {
            return null;
        }

        return new Brought(
            BroughtKind::Settings,
            count($scenes) === 1 ? 'the settings of a scene' : 'the settings of '.count($scenes).' scenes',
            count($scenes) === 1 ? [...$scenes[0]->whose, ...$whose] : $whose,
        );
    }
}
