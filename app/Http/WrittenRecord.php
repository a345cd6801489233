<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Checks\CheckReporting;
use App\Http\Pages\Submission\Standing;
use App\Models\LinkKind;
use App\Models\SheetLink;
use App\Models\Submission;
use App\Processes\SheetProcess;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\ReportWriter;
use PlainLedger\Core\Sealing\MhlGeneration;
use PlainLedger\Core\Sealing\MhlHistory;
use PlainLedger\Core\Submission\RecordHtml;

/** The record of a sign-off, in any of its forms. */
final readonly class WrittenRecord
{
    public static function of(Submission $submission, string $format): PlainResponse
    {
        $name = "{$submission->deliverable->code}-submission-{$submission->number}.{$format}";
        $standing = Standing::inWords($submission);
        // on paper, a link that is open is a code too
        $link = $format === 'pdf' ? self::openLink($submission) : '';
        $html = static fn (int $size = 95): string => (
            new RecordHtml($standing, $size / 10 .'pt', $link)
        )->write($submission->signedRecord());
        $algorithm = SumAlgorithm::tryFrom($format);

        return match (true) {
            $format === 'html' => Downloads::inline($html(), 'text/html; charset=utf-8', $name),
            $format === 'pdf' => Downloads::inline(SheetProcess::make($html), 'application/pdf', $name),
            $format === 'json' => Downloads::file($submission->signedRecord()->write(), 'application/json', $name),
            $format === 'mhl' => self::manifest($submission),
            $format === 'csv' => self::report($submission, new CsvReport, 'text/csv; charset=utf-8', $name),
            $format === 'xml' => self::report($submission, new JunitReport, 'application/xml', $name),
            $algorithm !== null => self::sums($submission, $algorithm, $name),
            default => abort(404),
        };
    }

    /** Whoever may open the record in full may hand its link on. */
    private static function openLink(Submission $submission): string
    {
        $links = SheetLink::query()->where('submission_id', $submission->id)->where('kind', LinkKind::Record);
        $open = $links->latest('id')->get()->first(static fn (SheetLink $link): bool => $link->isOpen());

        return $open === null ? '' : url($open->path());
    }

    private static function report(Submission $submission, ReportWriter $as, string $type, string $name): PlainResponse
    {
        $check = $submission->check ?? abort(404);

        return Downloads::file($as->write(app(CheckReporting::class)->asItWas($check)), $type, $name);
    }

    /** The first generation of an ASC MHL of the very files that were signed. */
    private static function manifest(Submission $submission): PlainResponse
    {
        $algorithms = array_values(array_filter(
            $submission->sumAlgorithms(),
            static fn (SumAlgorithm $a): bool => in_array($a, MhlGeneration::ALGORITHMS, true),
        ));
        abort_if($algorithms === [], 404);
        $generation = new MhlGeneration(
            $submission->signedRecord()->seal($algorithms),
            MhlHistory::none(),
            $submission->deliverable->code,
            new \DateTimeImmutable($submission->signed_at?->toIso8601String() ?? 'now'),
            (string) $submission->person?->name,
        );

        return Downloads::file($generation->document(), 'application/xml', $generation->name());
    }

    /** A list as `sha256sum` and its kin read it. */
    private static function sums(Submission $submission, SumAlgorithm $algorithm, string $name): PlainResponse
    {
        abort_unless(in_array($algorithm, $submission->sumAlgorithms(), true), 404);
        $sums = $submission->signedRecord()->sumsBy($algorithm);

        return Downloads::file(
            implode('', iterator_to_array(SumLines::write($sums), false)),
            'text/plain; charset=utf-8',
            $name,
        );
    }
}
