<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** The eighteen bytes that a TGA begins with, which bear no mark of their own. */
final readonly class TgaHeader
{
    private const MAPPED = [1, 9];

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
        $map = $this->is['map'] === 1 ? $this->is['colours'] * intdiv($this->is['entry'] + 7, 8) : 0;

        return 18 + $this->is['id'] + $map + 1;
    }

    private function isMapped(): bool
    {
        return in_array($this->is['type'], self::MAPPED, true);
    }
}
