<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Submissions\SubmissionRefused;
use App\Http\Pages\Submission\Standing;
use App\Intake\CheckedPlace;
use App\Language\Phrase;
use App\Models\Submission;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Submission\Package;
use PlainLedger\Core\Submission\PackageRefused;

/** The package of a submission, from where its files lie. */
final readonly class HandedOver
{
    /** @throws SubmissionRefused|PackageRefused where they cannot be reached, or are not those that were signed */
    public static function of(Submission $submission): Package
    {
        $delivery = $submission->delivery
            ?? throw SubmissionRefused::because(Phrase::of('Where its files lie is no longer known.'));
        if ($submission->isOnOwnDisk()) {
            throw SubmissionRefused::because(Phrase::of(
                'Its files stay on the machine on which they were signed, and cannot be packed from here.',
            ));
        }
        $asked = $submission->check?->resolved() ?? $submission->deliverable->loadAsked()->resolved();

        return Package::of(
            $submission->signedRecord(),
            CheckedPlace::of($delivery, $submission->deliverable, true)->listing(),
            (new SheetHtml)->write($asked),
            Standing::inWords($submission),
        );
    }
}
