<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Media\ApprovedComparison;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Report\CheckDocument;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\CustomFacts;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;
use PlainLedger\Core\Submission\SubmissionRecord;

/** What commands are given, read from files or from standard input, which `-` stands for. */
final readonly class Inputs
{
    private const LARGEST_CHECK = 64_000_000;

    private const STANDARD = 'php://stdin';

    /** @throws JsonRefused */
    public static function specification(string $path): Specification
    {
        return Specification::fromDocument(self::document($path, Specification::FORMAT));
    }

    /** @throws JsonRefused */
    public static function document(string $path, string $format): JsonDocument
    {
        return $path === '-'
            ? JsonDocument::parse(self::standard(), 'standard input', $format)
            : JsonDocument::parse(TextFile::read($path, $path), $path, $format);
    }

    /** What `check --format json` wrote: of a delivery with many strays it is a large one. */
    public static function check(string $path): JsonDocument
    {
        $text = $path === '-'
            ? (string) file_get_contents(self::STANDARD, length: self::LARGEST_CHECK + 1)
            : TextFile::read($path, $path, self::LARGEST_CHECK);
        $label = $path === '-' ? 'standard input' : $path;

        return JsonDocument::parse($text, $label, CheckDocument::FORMAT, self::LARGEST_CHECK);
    }

    /**
     * A check, or the record of a submission, which holds one.
     *
     * @throws JsonRefused
     */
    public static function checkOrRecord(string $path): JsonDocument|SubmissionRecord
    {
        $text = $path === '-' ? '' : TextFile::read($path, $path, SubmissionRecord::LARGEST);
        $isRecord = preg_match('~^\s*\{\s*"format"\s*:\s*"'.SubmissionRecord::FORMAT.'"~', $text) === 1;

        return $isRecord ? SubmissionRecord::read($text, $path) : self::check($path);
    }

    /**
     * @param  string|null  $part  the part that the scene makes, where that is said
     *
     * @throws JsonRefused|SpecificationRefused
     */
    public static function scene(string $path, Specification $specification, ?string $map, ?string $part): SceneSettings
    {
        $names = FieldMap::ofOwnFacts(CustomFacts::labels($specification))->under(self::map($map) ?? FieldMap::none());
        $scene = $path === '-'
            ? (new DetectingReader)->read(self::standard(), 'standard input', $names)
            : (new DetectingReader)->open($path, $names);
        if ($part === null) {
            return $scene;
        }
        foreach ($specification->parts as $each) {
            if (strcasecmp($each->name, $part) === 0) {
                return $scene->making($each->name);
            }
        }
        throw SpecificationRefused::because(
            '--part',
            "there is no part “{$part}”; the specification has "
                .implode(', ', array_map(static fn ($p): string => $p->name, $specification->parts))
                .'.',
        );
    }

    /** @throws JsonRefused */
    public static function map(mixed $path): ?FieldMap
    {
        return is_string($path) && $path !== ''
            ? FieldMap::fromDocument(self::document($path, FieldMap::FORMAT))
            : null;
    }

    /**
     * The pictures that frames are to agree with; their paths are relative to the specification.
     *
     * @return array<int, Pixels|null> by frame; null where one cannot be read
     */
    public static function approved(Specification $specification, string $path): array
    {
        $folder = $path === '-' ? '.' : dirname($path);

        return ApprovedComparison::pictures(
            ApprovedPicture::in($specification),
            static fn (string $picture): FileSource => FileSource::open(
                str_starts_with($picture, '/') ? $picture : "{$folder}/{$picture}",
            ),
        );
    }

    /**
     * What lies in a folder or an archive, scanned for all that is asked of it.
     *
     * @param  string  $path  of the specification, beside which approved pictures lie
     */
    public static function delivery(
        Specification $specification,
        string $path,
        string $folder,
        ScanDepth $depth,
        ParallelScan $jobs,
    ): Delivery {
        $listing = PlaceListing::of($folder);
        $sampler = PixelRules::sampler($specification, self::approved($specification, $path));
        $scan = new Scan(
            $listing,
            Probe::standard(),
            $depth,
            $sampler,
            ChecksumsRule::isAskedBy($specification),
        );

        return MovieLook::at($specification, $jobs->run($scan, $listing, time()), $listing, $sampler);
    }

    private static function standard(): string
    {
        return (string) file_get_contents(self::STANDARD, length: JsonDocument::LARGEST + 1);
    }
}
