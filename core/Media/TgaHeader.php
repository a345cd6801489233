<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** The eighteen bytes that a TGA begins with, which bear no mark of their own. */
final readonly class TgaHeader
{
    /** In bytes. */
    public const LENGTH = 18;

    public const FOOTER = 26;

    private const MAPPED = [1, 9];

    /** Types from here on are packed by run lengths. */
    private const PACKED = 9;

    private const GREY = [3, 11];

    private const TYPES = [1, 2, 3, 9, 10, 11];

    /**
     * @param  array{id: int, map: int, type: int, first: int, colours: int, entry: int, width: int, height: int,
     *   bits: int, flags: int} $is
     */
    private function __construct(private array $is) {}

    /** @param  string  $head  of 18 bytes or more */
    public static function read(string $head): self
    {
        /**
         * @var array{id: int, map: int, type: int, first: int, colours: int, entry: int, width: int, height: int,
         *   bits: int, flags: int} $is
         */
        $is = unpack('Cid/Cmap/Ctype/vfirst/vcolours/Centry/vleft/vbottom/vwidth/vheight/Cbits/Cflags', $head);

        return new self($is);
    }

    /** @param  string  $tail  the end of a file: whether it has the mark of version 2 */
    public static function hasFooter(string $tail): bool
    {
        return str_starts_with(substr($tail, -18), 'TRUEVISION-XFILE.');
    }

    /** Where the footer says that more facts stand; 0 where none do. */
    public static function extensionPlace(string $tail): int
    {
        return self::hasFooter($tail) ? ByteOrder::Little->u32(substr($tail, -self::FOOTER)) : 0;
    }

    public function width(): int
    {
        return $this->is['width'];
    }

    public function height(): int
    {
        return $this->is['height'];
    }

    public function isPacked(): bool
    {
        return $this->is['type'] >= self::PACKED;
    }

    public function isGrey(): bool
    {
        return in_array($this->is['type'], self::GREY, true);
    }

    /** Of a pixel as it is stored. */
    public function bits(): int
    {
        return $this->is['bits'];
    }

    /** In bytes, of a pixel as it is stored. */
    public function pixelLength(): int
    {
        return intdiv($this->is['bits'] + 7, 8);
    }

    /** Of a colour of the palette. */
    public function colourBits(): int
    {
        return $this->is['entry'];
    }

    /** Number of the palette's first colour. */
    public function firstColour(): int
    {
        return $this->is['first'];
    }

    /** How many colours the palette has. */
    public function colours(): int
    {
        return $this->is['map'] === 1 ? $this->is['colours'] : 0;
    }

    /** Bits of a pixel that are kept for its alpha. */
    public function alphaBits(): int
    {
        return $this->is['flags'] & 15;
    }

    public function isFromTop(): bool
    {
        return ($this->is['flags'] & 0x20) !== 0;
    }

    public function isFromRight(): bool
    {
        return ($this->is['flags'] & 0x10) !== 0;
    }

    /** Where the palette begins, in bytes from the start. */
    public function palettePlace(): int
    {
        return self::LENGTH + $this->is['id'];
    }

    /** Where the pixels begin. */
    public function pixelPlace(): int
    {
        return $this->palettePlace() + $this->colours() * intdiv($this->is['entry'] + 7, 8);
    }

    public function isPossible(): bool
    {
        return $this->hasPossibleType()
            && $this->is['width'] > 0
            && $this->is['height'] > 0
            && in_array($this->is['bits'], [8, 15, 16, 24, 32], true)
            && ($this->is['flags'] & 0xC0) === 0;
    }

    private function hasPossibleType(): bool
    {
        return in_array($this->is['type'], self::TYPES, true)
            && $this->is['map'] <= 1
            && (! $this->isMapped() || $this->is['map'] === 1);
    }

    /** Whether nothing in it is odd, which a file without the mark of version 2 has to show. */
    public function isLikely(): bool
    {
        $isGrey = in_array($this->is['type'], self::GREY, true);
        $hasMap = $this->is['map'] === 1;
        $mapIsEmpty = $this->is['first'] === 0 && $this->is['colours'] === 0 && $this->is['entry'] === 0;

        return ($this->isMapped() || $isGrey || $this->is['bits'] !== 8) && ($hasMap || $mapIsEmpty);
    }

    /** What it takes for anything of the picture to be there, in bytes. */
    public function leastSize(): int
    {
        return $this->pixelPlace() + 1;
    }

    public function isMapped(): bool
    {
        return in_array($this->is['type'], self::MAPPED, true);
    }
}
