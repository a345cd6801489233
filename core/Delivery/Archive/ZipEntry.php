<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

/** One entry of a zip's central directory (ZIP file format specification, 4.3.12). */
final readonly class ZipEntry
{
    public const STORED = 0;

    public const DEFLATED = 8;

    private const LOCKED = 1;

    /** The upper half of its attributes is a mode of POSIX where such a system wrote it. */
    private const UNIX = 3;

    private const MAC = 19;

    private const LINK = 0120000;

    private const TYPE = 0170000;

    /** More than this, and packed to less than a two-hundredth, is no picture. */
    private const SUSPICIOUS = 64 << 20;

    private const RATIO = 200;

    /**
     * @param  string  $name  raw, as it stands there
     * @param  int  $place  of its local header, in bytes from the start of the file
     * @param  int  $modified  seconds since 1970, by the clock of whoever packed it
     */
    public function __construct(
        public string $name,
        public int $flags,
        public int $method,
        public int $crc,
        public int $packed,
        public int $size,
        public int $place,
        public int $modified = 0,
        public int $madeBy = 0,
        public int $attributes = 0,
    ) {}

    public function isFolder(): bool
    {
        return str_ends_with($this->name, '/') || str_ends_with($this->name, '\\');
    }

    /** Why it is not to be opened; null where it may be. */
    public function refusal(): ?string
    {
        $isUnix = in_array($this->madeBy, [self::UNIX, self::MAC], true);

        return match (true) {
            ($this->flags & self::LOCKED) !== 0 => 'it is locked by a password',
            $isUnix && ($this->attributes >> 16 & self::TYPE) === self::LINK => 'it is a link, and links are not'
                .' followed',
            ! in_array($this->method, [self::STORED, self::DEFLATED], true) => 'it is packed in a way that is not'
                .' unpacked here (method '.$this->method.')',
            $this->method === self::STORED && $this->packed !== $this->size => 'its lengths contradict each other',
            $this->size > self::SUSPICIOUS && $this->size > self::RATIO * max(1, $this->packed) => 'it claims to unpack'
                .' to more than '.self::RATIO.' times its size',
            default => null,
        };
    }
}
