<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Submissions\SubmissionRefused;
use App\Http\Pages\Submission\Standing;
use App\Intake\CheckedPlace;
use App\Language\Phrase;
use App\Models\Submission;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Submission\RecordHtml;
use PlainLedger\Core\Submission\SubmissionRecord;

/** What a package holds: the signed files below the deliverable's code with their lists of checksums, and papers. */
final readonly class HandedOver
{
    private Listing $listing;

    /** @var array<array-key, ListedFile> by path */
    private array $listed;

    /** @var array<string, string> what is written for it, by its path in the archive */
    private array $written;

    private string $code;

    /** @throws SubmissionRefused where the files are not those that were signed */
    public function __construct(Submission $submission)
    {
        $delivery = $submission->delivery
            ?? throw SubmissionRefused::because(Phrase::of('Where its files lie is not kept any more.'));
        if ($submission->isOnOwnDisk()) {
            throw SubmissionRefused::because(Phrase::of(
                'Its files stay on the machine on which they were signed, and cannot be packed from here.',
            ));
        }
        $this->listing = CheckedPlace::of($delivery, $submission->deliverable, true)->listing();
        $this->listed = SealRun::files($this->listing);
        $record = $submission->signedRecord();
        self::expectSame($record, $this->listed);
        $this->code = (string) preg_replace('~[^A-Za-z0-9_.-]~', '_', $submission->deliverable->code);
        $this->written = self::papers($submission, $record, $this->code);
    }

    /** @return \Generator<int, array{string, int, \PlainLedger\Core\Media\ByteSource}> */
    public function files(): \Generator
    {
        foreach ($this->written as $path => $text) {
            yield [$path, time(), new StringSource($text)];
        }
        foreach ($this->listed as $path => $file) {
            yield ["{$this->code}/{$path}", $file->modified, $this->listing->open($file)];
        }
    }

    /** @return \Generator<int, array{string, int}> */
    public function sizes(): \Generator
    {
        foreach ($this->written as $path => $text) {
            yield [$path, strlen($text)];
        }
        foreach ($this->listed as $path => $file) {
            yield ["{$this->code}/{$path}", $file->size];
        }
    }

    /**
     * By their sizes: whoever unpacks them proves the rest by the list that lies among them.
     *
     * @param  array<array-key, ListedFile>  $listed
     */
    private static function expectSame(SubmissionRecord $record, array $listed): void
    {
        $sizes = array_map(static fn (ListedFile $file): int => $file->size, $listed);
        $signed = $record->sizes();
        if (array_diff_key($sizes, $signed) + array_diff_key($signed, $sizes) !== [] || $sizes != $signed) {
            throw SubmissionRefused::because(
                Phrase::of('The files are not those that were signed. Look at them again to see which.'),
            );
        }
    }

    /** @return array<string, string> by path */
    private static function papers(Submission $submission, SubmissionRecord $record, string $code): array
    {
        $papers = [
            "{$code}-record.json" => $record->write(),
            "{$code}-record.html" => (new RecordHtml(Standing::inWords($submission)))->write($record),
            "{$code}-sheet.html" => (new SheetHtml)->write(
                $submission->check?->resolved() ?? $submission->deliverable->loadAsked()->resolved(),
            ),
        ];
        foreach ($submission->sumAlgorithms() as $algorithm) {
            $lines = SumLines::write($record->sumsBy($algorithm));
            $papers["{$code}/checksums.{$algorithm->value}"] = implode('', iterator_to_array($lines, false));
        }

        return $papers;
    }
}
