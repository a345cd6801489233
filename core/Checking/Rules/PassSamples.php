<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Media\PixelSample;

/** What the pixels of one pass's whole frames come to. */
final readonly class PassSamples
{
    /**
     * @param  int  $place  of the pass in the part
     * @param  array<int, PixelSample|null>  $samples  by frame number, in their order; null where the pixels could
     *   not be read
     * @param  string|null  $tooLarge  why the first that was too large was not unpacked, with the figure
     */
    private function __construct(public int $place, public array $samples, private ?string $tooLarge) {}

    /** Null where it has no whole picture: a movie's are not looked at one by one. */
    public static function of(Subject $subject): ?self
    {
        $passes = $subject->part->delivers->isMovie() ? [] : $subject->match->passes ?? [];
        $place = array_key_first($passes);
        [$samples, $tooLarge] = $place === null ? [[], null] : self::looks($passes[$place]);

        return $place === null || $samples === [] ? null : new self($place, $samples, $tooLarge);
    }

    /** @return array{array<int, PixelSample|null>, string|null} */
    private static function looks(PassMatch $pass): array
    {
        $relevant = $pass->relevant();
        $tooLarge = null;
        $samples = [];
        foreach ($pass->frames->numbers as $i => $number) {
            if ($relevant->contains($number) && $pass->frames->factsAt($i)->isWhole()) {
                $samples[$number] = $pass->frames->sampleAt($i);
                $tooLarge ??= $pass->frames->unsampledReasonAt($i);
            }
        }

        return [$samples, $tooLarge];
    }

    /** What could not be told of them, and why where that is known. */
    public function unknown(): Cell
    {
        return Cell::unknown($this->tooLarge);
    }

    /** Whether the pixels of any of them could not be told from others. */
    public function hasUnseen(): bool
    {
        return in_array(null, $this->samples, true);
    }

    /** Whether the colours of any of them could not be read. */
    public function hasUndecoded(): bool
    {
        return array_filter(
            $this->samples,
            static fn (?PixelSample $sample): bool => $sample?->brightness === null,
        ) !== [];
    }
}
