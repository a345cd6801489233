<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\PictureNumbers;
use PlainLedger\Core\Media\PixelSample;

/** What the pixels of one pass's whole frames come to. */
final readonly class PassSamples
{
    /**
     * @param  int  $place  of the pass in the part
     * @param  array<int, PixelSample|null>  $samples  by frame number, in their order; null where the pixels could
     *   not be read
     * @param  string|null  $tooLarge  why the first that was too large was not unpacked, with the figure
     * @param  bool  $isNumbered  whether each is told by its number
     * @param  bool  $isLossy  of a movie whose codec gives what stands still a little other pixels each time
     */
    private function __construct(
        public int $place,
        public array $samples,
        private ?string $tooLarge,
        public bool $isNumbered,
        public bool $isLossy = false,
    ) {}

    /** Null where it has no whole picture, or is a movie that is not decoded here. */
    public static function of(Subject $subject): ?self
    {
        $passes = $subject->match->passes ?? [];
        $place = array_key_first($passes);
        if ($place === null || $subject->part->delivers->isMovie()) {
            return $place === null ? null : self::ofMovie($place, $passes[$place], $subject);
        }
        [$samples, $tooLarge] = self::looks($passes[$place]);

        return $samples === [] ? null : new self($place, $samples, $tooLarge, $subject->isNumbered());
    }

    private static function ofMovie(int $place, PassMatch $pass, Subject $subject): ?self
    {
        $facts = $pass->isEmpty() ? null : $pass->frames->factsAt(0);
        $samples = $facts?->movie?->pixels->samples ?? [];
        if ($facts === null || $samples === []) {
            return null;
        }
        $numbers = PictureNumbers::of($subject->part, $subject->source(), count($samples));

        return new self($place, array_combine($numbers, $samples), null, true, $facts->encoding->codec === 'mjpeg');
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
