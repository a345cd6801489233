<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Sealing\SealRun;

/**
 * What is handed over: the signed files below the deliverable's code with their lists of checksums, and beside that the
 * record and the sheet. Nothing of it is held together.
 */
final readonly class Package
{
    /**
     * @param  array<array-key, ListedFile>  $listed  by path
     * @param  array<string, string>  $papers  what is written for it, by path
     */
    private function __construct(
        private Listing $listing,
        private array $listed,
        private array $papers,
        private string $code,
    ) {}

    /**
     * The files are told to be others by their sizes alone: whoever unpacks them proves the rest by the lists.
     *
     * @param  string  $sheet  what was asked, as a page
     * @param  string  $standing  what became of the submission since; empty where it stands
     *
     * @throws PackageRefused where they are not those that were signed
     */
    public static function of(SubmissionRecord $record, Listing $listing, string $sheet, string $standing = ''): self
    {
        $listed = SealRun::files($listing);
        $sizes = array_map(static fn (ListedFile $file): int => $file->size, $listed);
        $signed = $record->sizes();
        if (array_diff_key($sizes, $signed) + array_diff_key($signed, $sizes) !== [] || $sizes != $signed) {
            throw PackageRefused::because(
                'The files are not those that were signed. Look at them again to see which.',
            );
        }
        $code = self::plain($record->code());
        $papers = [
            "{$code}-record.json" => $record->write(),
            "{$code}-record.html" => (new RecordHtml($standing))->write($record),
            "{$code}-sheet.html" => $sheet,
        ];
        foreach (SumAlgorithm::cases() as $algorithm) {
            $sums = $record->sumsBy($algorithm);
            if ($sums !== []) {
                $lines = SumLines::write($sums);
                $papers["{$code}/checksums.{$algorithm->value}"] = implode('', iterator_to_array($lines, false));
            }
        }

        return new self($listing, $listed, $papers, $code);
    }

    private static function plain(string $text): string
    {
        $plain = (string) preg_replace('~[^A-Za-z0-9_.-]~', '_', $text);

        return trim($plain, '.') === '' ? 'delivery' : $plain;
    }

    /**
     * @param  int  $now  seconds since 1970, by which what is written for it is dated
     * @return \Generator<int, array{string, int, ByteSource}> path, seconds since 1970, bytes
     */
    public function files(int $now): \Generator
    {
        foreach ($this->papers as $path => $text) {
            yield [$path, $now, new StringSource($text)];
        }
        foreach ($this->listed as $path => $file) {
            yield ["{$this->code}/{$path}", $file->modified, $this->listing->open($file)];
        }
    }

    /** @return \Generator<int, array{string, int}> path and bytes, in the same order */
    public function sizes(): \Generator
    {
        foreach ($this->papers as $path => $text) {
            yield [$path, strlen($text)];
        }
        foreach ($this->listed as $path => $file) {
            yield ["{$this->code}/{$path}", $file->size];
        }
    }
}
