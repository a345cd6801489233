<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\FileDamaged;

/** How one page of a TIFF keeps its picture. */
final readonly class TiffPicture
{
    public const UNPACKED = 1;

    public const LZW = 5;

    public const JPEG = 7;

    public const DEFLATE = [8, 32946];

    public const PACK_BITS = 32773;

    private const COMPRESSIONS = [
        self::UNPACKED => 'none', 2 => 'ccitt', 3 => 'ccitt-g3', 4 => 'ccitt-g4', self::LZW => 'lzw', 6 => 'jpeg',
        self::JPEG => 'jpeg', 8 => 'deflate', 9 => 'jbig', 10 => 'jbig', 32766 => 'next', 32771 => 'ccitt',
        self::PACK_BITS => 'packbits', 32809 => 'thunderscan', 32946 => 'deflate', 33003 => 'jpeg2000',
        33005 => 'jpeg2000', 34661 => 'jbig', 34676 => 'sgilog', 34677 => 'sgilog24', 34712 => 'jpeg2000',
        34887 => 'lerc', 34892 => 'jpeg', 34925 => 'lzma', 50000 => 'zstd', 50001 => 'webp', 50002 => 'jpeg-xl',
        52546 => 'jpeg-xl',
    ];

    private const WHITE_IS_ZERO = 0;

    private const PALETTE = 3;

    private const MASK = 4;

    private const YCBCR = 6;

    private const CHANNELS = [
        self::WHITE_IS_ZERO => ['Y'], 1 => ['Y'], 2 => ['R', 'G', 'B'], self::PALETTE => ['R', 'G', 'B'],
        self::MASK => ['Y'], 5 => ['C', 'M', 'Y', 'K'], self::YCBCR => ['R', 'G', 'B'], 8 => ['L', 'a', 'b'],
        9 => ['L', 'a', 'b'], 10 => ['L', 'a', 'b'], 32803 => ['Y'], 32844 => ['Y'], 32845 => ['R', 'G', 'B'],
        34892 => ['R', 'G', 'B'],
    ];

    private const ASSOCIATED = 1;

    private const UNASSOCIATED = 2;

    private const SIGNED = 2;

    private const FLOAT = 3;

    private const WITHOUT_KIND = 4;

    /** @var list<int> what each sample beyond the colours is; 0 where it is not told */
    public array $extra;

    /** @var list<int> of each sample */
    public array $bits;

    public int $compression;

    public bool $isPlanar;

    public int $predictor;

    private int $format;

    private function __construct(
        TiffDirectory $page,
        public int $width,
        public int $height,
        public int $photometric,
        public int $samples,
    ) {
        $bits = $page->numbers(TiffTag::BITS, $samples);
        $this->bits = array_pad($bits, $samples, $bits[0] ?? 1);
        $extra = max(0, $samples - self::colourSamples($photometric, $samples));
        $this->extra = array_pad($page->numbers(TiffTag::EXTRA_SAMPLES, $extra), $extra, 0);
        $this->compression = $page->number(TiffTag::COMPRESSION) ?? self::UNPACKED;
        $this->format = $page->number(TiffTag::SAMPLE_FORMAT) ?? 1;
        $this->isPlanar = $page->number(TiffTag::PLANES) === 2 && $samples > 1;
        $this->predictor = $page->number(TiffTag::PREDICTOR) ?? 1;
    }

    /** @throws FileDamaged */
    public static function read(TiffDirectory $page): self
    {
        $width = $page->number(TiffTag::WIDTH) ?? 0;
        $height = $page->number(TiffTag::HEIGHT) ?? 0;
        foreach ([$width, $height] as $side) {
            if ($side < 1 || $side > Resolution::LARGEST) {
                throw FileDamaged::header("its directory names an impossible size, a side of {$side} pixels");
            }
        }
        $samples = $page->number(TiffTag::SAMPLES) ?? 1;
        if ($samples < 1 || $samples > 1000) {
            throw FileDamaged::header("its directory names {$samples} samples a pixel");
        }
        $picture = new self($page, $width, $height, $page->number(TiffTag::PHOTOMETRIC) ?? 1, $samples);
        foreach ($picture->bits as $of) {
            if ($of < 1 || $of > 64) {
                throw FileDamaged::header("its directory names {$of} bits a channel");
            }
        }

        return $picture;
    }

    private static function colourSamples(int $photometric, int $samples): int
    {
        return $photometric === self::PALETTE ? 1 : min($samples, count(self::CHANNELS[$photometric] ?? ['Y']));
    }

    public function isPalette(): bool
    {
        return $this->photometric === self::PALETTE;
    }

    public function isMask(): bool
    {
        return $this->photometric === self::MASK;
    }

    public function isWhiteZero(): bool
    {
        return $this->photometric === self::WHITE_IS_ZERO;
    }

    public function isDifferences(): bool
    {
        return $this->photometric === self::YCBCR;
    }

    public function compressionName(): string
    {
        return self::COMPRESSIONS[$this->compression] ?? "unknown {$this->compression}";
    }

    public function sample(): string
    {
        return match ($this->format) {
            self::FLOAT, 6 => 'float',
            self::SIGNED, 5 => 'int',
            self::WITHOUT_KIND => 'unknown',
            default => 'uint',
        };
    }

    public function isFloat(): bool
    {
        return $this->format === self::FLOAT;
    }

    /** The place of its alpha among its samples; null where there is none. */
    public function alphaSample(): ?int
    {
        foreach ($this->extra as $i => $kind) {
            if ($kind === self::ASSOCIATED || $kind === self::UNASSOCIATED) {
                return $this->samples - count($this->extra) + $i;
            }
        }

        // one that says nothing of itself is alpha as a rule
        return $this->extra === [] ? null : $this->samples - count($this->extra);
    }

    public function alphaKind(): ?string
    {
        return match ($this->extra[$this->alphaSample() - $this->samples + count($this->extra)] ?? null) {
            self::ASSOCIATED => 'premultiplied',
            self::UNASSOCIATED => 'straight',
            default => null,
        };
    }

    /** @return list<string> */
    public function channels(): array
    {
        $colours = array_slice(self::CHANNELS[$this->photometric] ?? ['Y'], 0, $this->isPalette() ? 3 : $this->samples);
        $alpha = $this->alphaSample();
        $more = max(0, count($this->extra) - 1);
        $others = array_map(static fn (int $i): string => "extra{$i}", $more === 0 ? [] : range(1, $more));

        return [...$colours, ...($alpha === null ? [] : ['A']), ...$others];
    }

    /** Bits of a pixel; of one plane where they are kept apart. */
    public function pixelBits(): int
    {
        return $this->isPlanar ? $this->bits[0] : array_sum($this->bits);
    }
}
