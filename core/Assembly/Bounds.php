<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/** The bit rate of a movie's pictures that keeps within what is asked, and the size that comes to. */
final readonly class Bounds
{
    /** Parts in a hundred that an encoder is kept below a limit, since it only comes near to what it is told. */
    private const ROOM = 5;

    /** A container takes more of a short movie: bytes for each picture, and for its head. */
    private const A_PICTURE = 16;

    private const HEAD = 4096;

    /**
     * @param  BitRate|null  $rate  of the pictures; null where nothing asks for one
     * @param  ByteSize|null  $cap  of the file
     * @param  bool  $isTight  two passes have to share it out
     * @param  bool  $isImpossible  the sound alone, or the cap, leaves nothing for pictures
     */
    private function __construct(
        public ?BitRate $rate,
        public ?ByteSize $cap,
        public bool $isTight,
        public bool $isImpossible,
        public ?MovieSound $sound,
    ) {}

    public static function of(Part $part, RecipeTiming $timing, ?MovieSound $sound): self
    {
        $asked = $part->find(RequirementId::FORMAT_BIT_RATE)?->value;
        $most = $asked === null ? null : $asked->single() ?? $asked->max;
        $least = (int) ($asked->min ?? 0);
        $cap = $part->find(RequirementId::FORMAT_FILE_SIZE)?->value->max;
        $fits = $cap === null ? null : self::fitting((int) $cap, $timing, $sound);
        $limits = array_filter([$fits, $most === null ? null : (int) $most], is_int(...));

        return new self(
            self::rate($limits, $asked?->single(), $least),
            $cap === null ? null : ByteSize::of((int) $cap),
            $fits !== null,
            $fits !== null && $fits < max(1, $least),
            $sound,
        );
    }

    /** @param  array<int, int>  $limits  bits a second */
    private static function rate(array $limits, ?string $exact, int $least): ?BitRate
    {
        if ($limits === []) {
            return self::least($least);
        }
        $limit = max(1, min($limits));

        // a rate that is asked to the bit is told to the bit
        return $exact !== null && $limit === (int) $exact ? BitRate::of($limit) : self::below($limit, $least);
    }

    /** Bits a second, 0 where nothing is left; null where the length is not known. */
    private static function fitting(int $cap, RecipeTiming $timing, ?MovieSound $sound): ?int
    {
        $left = max(0, $cap - self::HEAD - self::A_PICTURE * ($timing->count ?? 0));
        $seconds = $timing->seconds();
        if ($seconds === null || $seconds->isLessThanOrEqualTo(0)) {
            return null;
        }

        return BitRate::thatFits(ByteSize::of($left), $seconds, $sound?->bitRate() ?? 0)->bits ?? 0;
    }

    private static function least(int $least): ?BitRate
    {
        return $least < 1 ? null : BitRate::of(intdiv($least * (100 + self::ROOM), 100));
    }

    /** A little below the limit, but not below what is asked at least; midway where the two lie close together. */
    private static function below(int $limit, int $least): BitRate
    {
        $wanted = intdiv($limit * (100 - self::ROOM), 100);

        return BitRate::of(max(1, $wanted > $least ? $wanted : intdiv($limit + $least, 2)));
    }
}
