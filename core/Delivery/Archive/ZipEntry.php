<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

/** One entry of a zip's central directory (ZIP file format specification, 4.3.12). */
final readonly class ZipEntry
{
    public const STORED = 0;

    public const DEFLATED = 8;

    private const LOCKED = 1;

    /** More than this, and packed to less than a two-hundredth, is no picture. */
    private const SUSPICIOUS = 64 << 20;

    private const RATIO = 200;

    /**
     * @param  string  $name  raw, as it stands there
     * @param  ZipSpan  $span  where it lies, and its lengths
     * @param  int  $modified  seconds since 1970, by the clock of whoever packed it
     */
    public function __construct(
        public string $name,
        public int $flags,
        public int $method,
        public int $crc,
        public ZipSpan $span,
        public int $modified = 0,
        private bool $isLink = false,
    ) {}

    public function isFolder(): bool
    {
        return str_ends_with($this->name, '/') || str_ends_with($this->name, '\\');
    }

    /** Why it is not to be opened; null where it may be. */
    public function refusal(): ?string
    {
        $isTooMuch = $this->span->size > self::SUSPICIOUS
            && $this->span->size > self::RATIO * max(1, $this->span->packed);

        return match (true) {
            ($this->flags & self::LOCKED) !== 0 => 'it is locked by a password',
            $this->isLink => 'it is a link, and links are not followed',
            ! in_array($this->method, [self::STORED, self::DEFLATED], true) => 'it is packed in a way that is not'
                .' unpacked here (method '.$this->method.')',
            $this->method === self::STORED && $this->span->packed !== $this->span->size => 'its lengths contradict'
                .' each other',
            $isTooMuch => 'it claims to unpack to more than '.self::RATIO.' times its size',
            default => null,
        };
    }
}
