<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\NumberedPattern;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** The frames that a movie is made from: as they are there, else as they are asked. */
final readonly class SourceFrames
{
    /**
     * @param  string  $folder  below the delivery; `""` for itself
     * @param  string  $pattern  the name, `#` for digits of the frame number; of a still or a movie the name itself
     * @param  FrameRange|null  $range  the frames that are due; null where none are asked and none are there
     * @param  FrameRange|null  $unusable  of those: missing or damaged; null where no files were looked at
     */
    private function __construct(
        public Part $part,
        public string $folder,
        public string $pattern,
        public ?FrameRange $range,
        public ?FrameRange $unusable,
        public SourcePicture $picture,
        public ?FrameRate $rate,
    ) {}

    public static function of(Specification $specification, Part $part, ?PassMatch $found): self
    {
        $asked = self::asked($specification, $part, $found?->pass);

        return $found === null || $found->isEmpty() ? $asked : $asked->found($found);
    }

    private static function asked(Specification $specification, Part $part, ?string $pass): self
    {
        $pass ??= $part->passesByFiles() ? ($part->passes()[0] ?? null) : null;
        $own = $part->ofPass($pass);
        $range = PartLength::expected($own);
        [$folder, $name] = self::names($specification, $own, $pass);
        $isNumbered = $range !== null && ! $range->isEmpty();

        return new self(
            $part,
            $folder,
            $isNumbered ? self::hashed($name, $range->first()) : $name,
            $range ?? self::counted($own),
            null,
            SourcePicture::asked($own),
            PartLength::rate($own),
        );
    }

    /** @return array{string, string} the folder, and the name of the first; or the pattern where that cannot be made */
    private static function names(Specification $specification, Part $part, ?string $pass): array
    {
        foreach (ExampleNames::of($specification, $part)->sets ?? [] as $set) {
            if ($set['pass'] === $pass && $set['names'][0] !== '') {
                return [$set['folder'] === '.' ? '' : $set['folder'], $set['names'][0]];
            }
        }

        return ['', NamePattern::withHashes($part->single(RequirementId::NAMING_PATTERN) ?? '')];
    }

    /** Where a count is asked and no range. */
    private static function counted(Part $part): ?FrameRange
    {
        $count = $part->delivers === Delivers::Frames ? $part->single(RequirementId::TIME_COUNT) : null;

        return $count === null ? null : FrameRange::of(1, max(1, (int) $count));
    }

    private function found(PassMatch $found): self
    {
        $first = $found->frames->listedAt(0);
        $number = $found->frames->numbers[0];
        $range = $this->range ?? $found->present;
        $facts = self::wholeFacts($found);
        $unusable = $range->minus($found->present->minus($found->damaged));

        return new self(
            $this->part,
            $first->folder,
            $found->lone || $range->isEmpty() ? $first->name : self::hashed($first->name, $number),
            $range,
            $found->lone ? FrameRange::none() : $unusable,
            $facts === null ? $this->picture : $this->picture->over($facts),
            $this->rate ?? $facts?->timing->rate,
        );
    }

    private static function wholeFacts(PassMatch $found): ?MediaFacts
    {
        foreach ($found->frames->alike as $alike) {
            if ($alike->facts->isWhole()) {
                return $alike->facts;
            }
        }

        return null;
    }

    /** With `#` in the place of its frame number, the last that it is. */
    private static function hashed(string $name, int $frame): string
    {
        preg_match_all('~\d+~', $name, $runs, PREG_OFFSET_CAPTURE);
        foreach (array_reverse($runs[0]) as [$digits, $at]) {
            if ((int) $digits === abs($frame)) {
                $sign = $frame < 0 && $at > 0 && $name[$at - 1] === '-' ? 1 : 0;

                return substr_replace($name, str_repeat('#', strlen($digits)), $at - $sign, strlen($digits) + $sign);
            }
        }

        return $name;
    }

    /** Folder and pattern. */
    public function path(): string
    {
        return ($this->folder === '' ? '' : "{$this->folder}/").$this->pattern;
    }

    /** The name of one frame with its folder. */
    public function pathOf(int $frame): string
    {
        return ($this->folder === '' ? '' : "{$this->folder}/").NumberedPattern::nameOf($this->pattern, $frame);
    }

    public function isSequence(): bool
    {
        return str_contains($this->pattern, '#');
    }
}
