<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Rules\KeyframeIntervalRule;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** How a movie is made from its frames, so that it will be what is asked. */
final readonly class Recipe
{
    /** @param  string  $name  of the file, with its folder */
    private function __construct(
        public Part $part,
        public SourceFrames $source,
        public RecipeTiming $timing,
        public EncodedPicture $encoded,
        public Bounds $bounds,
        public string $name,
    ) {}

    /**
     * @param  string|null  $part  by its name; null: the one movie that is made from something
     * @param  DeliveryMatch|null  $match  of the files, where there are any
     *
     * @throws RecipeRefused
     */
    public static function of(Specification $specification, ?string $part = null, ?DeliveryMatch $match = null): self
    {
        $movie = RecipeParts::movie($specification, $part);
        $from = RecipeParts::source($specification, $movie);
        $source = SourceFrames::of($specification, $from, self::pass($match, $from));
        $timing = RecipeTiming::of($specification, $movie, $source);
        $encoded = EncodedPicture::of($movie);

        return new self(
            $movie,
            $source,
            $timing,
            $encoded,
            Bounds::of($movie, $timing, MovieSound::of($movie, $encoded->kind)),
            self::name($specification, $movie, $encoded),
        );
    }

    /** @return list<string> names of the parts that have one */
    public static function parts(Specification $specification): array
    {
        return RecipeParts::all($specification);
    }

    private static function pass(?DeliveryMatch $match, Part $from): ?PassMatch
    {
        foreach ($match->parts[$from->name]->passes ?? [] as $pass) {
            if (! $pass->isEmpty()) {
                return $pass;
            }
        }

        return null;
    }

    private static function name(Specification $specification, Part $movie, EncodedPicture $encoded): string
    {
        $set = ExampleNames::of($specification, $movie)->sets[0] ?? null;
        if ($set === null) {
            return "{$movie->name}.{$encoded->kind->usualExtension()}";
        }

        return ($set['folder'] === '.' ? '' : "{$set['folder']}/").$set['names'][0];
    }

    public function size(): ?Resolution
    {
        $asked = $this->part->single(RequirementId::PICTURE_RESOLUTION);

        return $asked === null ? $this->source->picture->size : Resolution::parse($asked);
    }

    public function pixelAspect(): BigRational
    {
        return Fraction::parse($this->part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1');
    }

    /** Whether the frames have another shape on the screen than the movie is asked to have. */
    public function changesShape(): bool
    {
        $from = $this->source->picture->displayAspect();
        $to = $this->size()?->displayAspect($this->pixelAspect());

        // a side that was rounded to a whole or an even number is no other shape
        return $from !== null && $to !== null && ! Fraction::near($from, $to, 200);
    }

    public function isResized(): bool
    {
        [$from, $to] = [$this->source->picture->size, $this->size()];

        return $from !== null && $to !== null && ! $to->equals($from);
    }

    /** Frames between two keyframes, at most; null where nothing is asked. */
    public function keyframes(): ?int
    {
        $asked = $this->part->find(RequirementId::FORMAT_KEYFRAME_INTERVAL);

        return $asked === null ? null : KeyframeIntervalRule::mostFrames($asked, $this->timing->rate);
    }

    /** B-frames in a row, at most; null where nothing is asked. */
    public function bFrames(): ?int
    {
        $asked = $this->part->find(RequirementId::FORMAT_B_FRAMES)?->value;
        $most = $asked === null ? null : $asked->single() ?? $asked->max;

        return match (true) {
            $most === null => null,
            $most === 'none' => 0,
            default => (int) $most,
        };
    }

    public function isInTwoPasses(): bool
    {
        return $this->bounds->rate !== null && $this->encoded->hasBitRate() && $this->bounds->isTight;
    }

    /** What colours of the movie are to mean; null where neither it nor the frames say. */
    public function encoding(): ?string
    {
        $source = $this->source->picture;

        return $this->part->single(RequirementId::COLOUR_ENCODING)
            ?? ($source->isLinear() ? 'rec709' : $source->encoding);
    }

    /** Bytes that it will take at most; null where nothing says. */
    public function bytes(): ?int
    {
        $seconds = $this->timing->seconds();
        if ($seconds === null || ! $this->encoded->hasBitRate() || $this->bounds->rate === null) {
            return null;
        }
        $all = BitRate::of($this->bounds->rate->bits + ($this->bounds->sound?->bitRate() ?? 0));

        return intdiv($all->bytesIn($seconds)->bytes * 101, 100);
    }
}
