<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Models\Check;
use App\Models\Submission;
use App\Models\SubmissionState;
use PlainLedger\Core\Submission\Redelivery;

/** How what would be signed stands to what was signed before, as far as sizes and times of its files tell. */
final readonly class SinceShown
{
    /** Of more files it is told when they are signed. */
    private const MOST = 20_000;

    public int $number;

    /** It was withdrawn, and what was approved by it with it. */
    public bool $withdrawn;

    /** @var list<string> */
    public array $says;

    private function __construct(Submission $before, Redelivery $files)
    {
        $this->number = (int) $before->number;
        $this->withdrawn = $before->state === SubmissionState::Withdrawn;
        $this->says = $files->sentences();
    }

    /** Null where there is none, or it is the very check that was signed. */
    public static function of(?Submission $before, ?Check $check): ?self
    {
        $delivery = $check?->delivery;
        $isOther = $before !== null && $before->check_id !== $check?->id;
        if (! $isOther || $delivery === null || max($delivery->file_count, $before->file_count) > self::MOST) {
            return null;
        }

        return new self($before, Redelivery::expected($before->signedRecord(), $delivery->scanned()));
    }
}
