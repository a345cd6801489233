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
     */
    private function __construct(public array $types, public bool $allSampled) {}

    /**
     * @param  string  $list  a `chlist`
     *
     * @throws FileDamaged
     */
    public static function read(string $list): self
    {
        $types = [];
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
            $isSampled = [ExrHeader::int($list, $end + 9), ExrHeader::int($list, $end + 13)] === [1, 1];
            $allSampled = $allSampled && $isSampled;
        }
        if ($types === []) {
            throw FileDamaged::header('it has no channels');
        }

        return new self($types, $allSampled);
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
