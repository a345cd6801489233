<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\Decimal;
use PlainLedger\Core\Course\GradedLine;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\Needed;
use PlainLedger\Core\Course\Points;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;

/** A folder with one folder, or one archive, a learner in it: each is judged by the same rules. */
final readonly class ClassFolder
{
    public const HEADINGS = ['learner', 'verdict', 'points', 'of', 'by eye', 'late', 'first cause'];

    /** @param  \DateTimeImmutable|null  $due  on the clock of its own zone; null: nothing is late */
    public function __construct(
        private string $folder,
        private JsonDocument $document,
        private string $path,
        private AssignmentRules $rules,
        private ?\DateTimeImmutable $due,
    ) {}

    /**
     * @return \Generator<int, list<string>> a row each, by name
     *
     * @throws CourseRefused
     */
    public function rows(): \Generator
    {
        foreach (self::learners($this->folder) as $learner => $place) {
            yield $this->row((string) $learner, $place);
        }
    }

    /**
     * @return array<array-key, string> where each one's files lie, by name
     *
     * @throws CourseRefused
     */
    public static function learners(string $folder): array
    {
        $names = is_dir($folder) ? scandir($folder) : false;
        if ($names === false) {
            throw CourseRefused::because($folder, 'it is no folder that can be read.');
        }
        $found = [];
        foreach ($names as $name) {
            $path = "{$folder}/{$name}";
            $isZip = strtolower(pathinfo($name, PATHINFO_EXTENSION)) === 'zip' && is_file($path);
            if ($name[0] !== '.' && ! is_link($path) && (is_dir($path) || $isZip)) {
                $found[$isZip ? pathinfo($name, PATHINFO_FILENAME) : $name] ??= $path;
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function row(string $learner, string $place): array
    {
        $named = new Layer(SetBy::Deliverable, ['values' => ['learner' => $learner]], $learner);
        $asked = Specification::resolve(
            new Layer(SetBy::Specification, $this->document->data, $this->document->label),
            $named,
        );
        $delivery = Inputs::delivery($asked, $this->path, $place, ScanDepth::Quick, ParallelScan::of('1'));
        $report = CheckReport::of($asked, null, $delivery);
        $zone = $this->due?->getTimezone() ?: new \DateTimeZone('UTC');
        $late = Lateness::of(self::newest($place), $this->due, $this->rules->late, $zone);
        $points = Points::of($this->rules->points, GradedLine::among($report, Needed::Files), $late);

        return [
            $learner,
            $report->check->verdict->value,
            Decimal::shown($points->total()),
            Decimal::shown($points->possible()),
            $points->open()->isZero() ? '' : Decimal::shown($points->open()),
            $this->due === null ? '' : $late->says(),
            ($report->causes[0] ?? null)?->finding->id->value ?? '',
        ];
    }

    /** When the newest file of a delivery was written: the moment that it was there. */
    private static function newest(string $place): \DateTimeImmutable
    {
        $newest = (int) filemtime($place);
        if (is_dir($place)) {
            $newest = 0;
            $below = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(
                $place,
                \FilesystemIterator::SKIP_DOTS,
            ));
            foreach ($below as $file) {
                $newest = $file instanceof \SplFileInfo ? max($newest, (int) $file->getMTime()) : $newest;
            }
        }

        return new \DateTimeImmutable("@{$newest}");
    }
}
