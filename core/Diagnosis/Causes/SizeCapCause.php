<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\DurationRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `over-size-cap`: a file, or what a scene would make, is larger than it may be; where the length is known, with the
 * rate that fits.
 */
final readonly class SizeCapCause implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $cap = $situation->entry(RequirementId::FORMAT_FILE_SIZE)?->requirement->value->max;
        $found = $situation->found(RequirementId::FORMAT_FILE_SIZE);
        $over = $cap !== null && $found !== null && (int) $found > (int) $cap;
        if (! $over || ! $situation->isUnequal(RequirementId::FORMAT_FILE_SIZE)) {
            return;
        }
        $side = $situation->side(RequirementId::FORMAT_FILE_SIZE);
        $fits = $this->rateThatFits($situation, ByteSize::of((int) $cap));
        $says = ($side === Side::Scene ? 'The file would have ' : 'A file has ')
            .ByteSize::of((int) $found)
            .', and at most '
            .ByteSize::of((int) $cap)
            .' are asked'
            .($fits === null ? '.' : "; a bit rate of {$fits} fits.");
        yield Finding::of(
            CauseId::OverSizeCap,
            $side,
            $says,
            ["format.file_size is {$found}"],
            self::touches($situation, $fits),
            $this->fixes($situation, $side, $fits, ByteSize::of((int) $cap)),
        );
    }

    /** Of a movie whose length is known. Where a bit rate is asked as well, the smaller of the two does for both. */
    private function rateThatFits(Situation $situation, ByteSize $cap): ?BitRate
    {
        $scene = $situation->scene();
        $movie = MovieFound::in($situation);
        $seconds = match (true) {
            $movie !== null => $movie->facts->timing->duration,
            $scene !== null => DurationRule::ofScene($scene, $situation->subject),
            default => null,
        };
        if ($seconds === null || $seconds->isLessThanOrEqualTo(0) || ! $situation->subject->part->delivers->isMovie()) {
            return null;
        }
        $fits = BitRate::thatFits($cap, $seconds, $movie?->besidePictures() ?? 0);
        $most = $situation->entry(RequirementId::FORMAT_BIT_RATE)?->requirement->value->max;

        return $fits !== null && $most !== null && (int) $most < $fits->bits ? BitRate::parse($most) : $fits;
    }

    /** @return list<Fix> */
    private function fixes(Situation $situation, Side $side, ?BitRate $fits, ByteSize $cap): array
    {
        if ($side === Side::Files && $fits !== null) {
            return [
                Fix::encode(
                    $situation->part(),
                    RequirementId::FORMAT_BIT_RATE,
                    'the bit rate',
                    (string) MovieFound::in($situation)?->facts->movie?->picture->bitRate,
                    (string) $fits->bits,
                    null,
                    "Encode the movie again at {$fits}, in two passes.",
                ),
            ];
        }
        if ($side === Side::Files || $fits === null) {
            $label = 'a file size of at most';

            return EntryFix::of($situation, RequirementId::FORMAT_FILE_SIZE, $label, (string) $cap)->fixes;
        }

        return [
            Fix::set(
                $situation->part(),
                RequirementId::FORMAT_BIT_RATE,
                'the bit rate',
                $situation->told(RequirementId::FORMAT_BIT_RATE),
                (string) $fits->bits,
                "Set the bit rate to {$fits}, in two passes.",
            ),
        ];
    }

    /**
     * The bit rate that fits the size answers what is asked of the bit rate too.
     *
     * @return list<string>
     */
    private static function touches(Situation $situation, ?BitRate $fits): array
    {
        $ask = $situation->entry(RequirementId::FORMAT_BIT_RATE)?->requirement->value;
        $both = $fits !== null
            && $ask?->max !== null
            && $situation->isUnequal(RequirementId::FORMAT_BIT_RATE)
            && ! $situation->inFiles(RequirementId::FORMAT_BIT_RATE)
            && $fits->bits >= (int) ($ask->min ?? 0);

        return $both
            ? [RequirementId::FORMAT_FILE_SIZE, RequirementId::FORMAT_BIT_RATE]
            : [RequirementId::FORMAT_FILE_SIZE];
    }

    /** Whether the size that is too large is told as the cause of the bit rate, so that it is set once. */
    public static function tells(Situation $situation): bool
    {
        $cap = $situation->entry(RequirementId::FORMAT_FILE_SIZE)?->requirement->value->max;
        $found = $situation->found(RequirementId::FORMAT_FILE_SIZE);

        return $cap !== null
            && $found !== null
            && $situation->isUnequal(RequirementId::FORMAT_FILE_SIZE)
            && (int) $found > (int) $cap
            && $situation->entry(RequirementId::FORMAT_BIT_RATE)?->requirement->value->max !== null
            && ! $situation->inFiles(RequirementId::FORMAT_BIT_RATE)
                && ! $situation->inFiles(RequirementId::FORMAT_FILE_SIZE);
    }
}
