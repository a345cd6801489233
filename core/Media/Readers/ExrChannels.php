<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Text\Text;

/** The channels of one OpenEXR part. */
final readonly class ExrChannels
{
    public const UINT = 0;

    public const HALF = 1;

    public const FLOAT = 2;

    private const MOST = 4096;

    /**
     * @param  non-empty-array<array-key, int>  $types  by name: uint, half or float
     * @param  bool  $allSampled  whether each of them has a value in every pixel
     * @param  array<array-key, array{int, int}>  $steps  by name: from one pixel that has a value to the next, across
     *   and down
     */
    private function __construct(public array $types, public bool $allSampled, private array $steps) {}

    /**
     * @param  string  $list  a `chlist`
     *
     * @throws FileDamaged
     */
    public static function read(string $list): self
    {
        [$types, $steps] = [[], []];
        $allSampled = true;
        for ($at = 0; $at < strlen($list) && $list[$at] !== "\0"; $at = $end + 17) {
            $end = strpos($list, "\0", $at);
            $breaksOff = $end === false || $end - $at > 255 || $end + 17 > strlen($list);
            if ($breaksOff || count($types) >= self::MOST) {
                throw FileDamaged::header('the list of channels breaks off');
            }
            $name = Text::named(substr($list, $at, $end - $at));
            $type = ExrHeader::int($list, $end + 1);
            if ($type < self::UINT || $type > self::FLOAT) {
                throw FileDamaged::header("the channel “{$name}” has a pixel type that OpenEXR does not have");
            }
            $types[$name] = $type;
            $steps[$name] = [max(1, ExrHeader::int($list, $end + 9)), max(1, ExrHeader::int($list, $end + 13))];
            $allSampled = $allSampled && $steps[$name] === [1, 1];
        }
        if ($types === []) {
            throw FileDamaged::header('it has no channels');
        }

        return new self($types, $allSampled, $steps);
    }

    /** @return list<string> a channel may be called by a number, which a key does not keep as text */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->types));
    }

    /** Bytes of one pixel in all of them. */
    public function bytesOfPixel(): int
    {
        $bytes = 0;
        foreach ($this->types as $type) {
            $bytes += $type === self::HALF ? 2 : 4;
        }

        return $bytes;
    }

    /**
     * The type of each, and how many values it has across and down.
     *
     * @return list<array{int, int, int}>
     */
    public function sizesIn(ExrArea $area): array
    {
        $sizes = [];
        foreach ($this->types as $name => $type) {
            [$across, $down] = $this->steps[$name];
            $sizes[] = [
                $type,
                self::multiples($area->left, $area->width, $across),
                self::multiples($area->top, $area->height, $down),
            ];
        }

        return $sizes;
    }

    /** How many of so many numbers from one on are multiples of a step. */
    private static function multiples(int $from, int $many, int $step): int
    {
        $below = static fn (int $number): int => (int) floor($number / $step);

        return $step === 1 ? $many : $below($from + $many - 1) - $below($from - 1);
    }

    public function holdWholeNumbers(): bool
    {
        return in_array(self::UINT, $this->types, true);
    }

    /**
     * Of the colour channels where there are any, since a half picture often carries full-float depth beside it.
     *
     * @return array{int, string} bits, and what a sample is
     */
    public function depth(): array
    {
        $colours = [];
        foreach ($this->types as $name => $type) {
            $own = strtoupper(Channels::split((string) $name)[1]);
            if (in_array($own, ['R', 'G', 'B', 'Y', 'RY', 'BY'], true)) {
                $colours[] = $type;
            }
        }
        // the weakest decides: one half channel makes it a half picture
        $type = in_array(self::HALF, $colours, true) ? self::HALF : min($colours === [] ? $this->types : $colours);

        return match ($type) {
            self::UINT => [32, 'uint'],
            self::HALF => [16, 'float'],
            default => [32, 'float'],
        };
    }
}
