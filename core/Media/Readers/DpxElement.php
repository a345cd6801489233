<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** One element of a DPX picture: the samples that stand together (SMPTE ST 268-1, table 4). */
final readonly class DpxElement
{
    /** Packed into words without a gap; or filled up to them, from below or from above. */
    public const PACKED = 0;

    public const FILLED_BELOW = 1;

    private const CHANNELS = [
        1 => ['R'], 2 => ['G'], 3 => ['B'], 4 => ['A'], 6 => ['Y'], 8 => ['Z'], 50 => ['R', 'G', 'B'],
        51 => ['R', 'G', 'B', 'A'], 52 => ['A', 'B', 'G', 'R'], 100 => ['R', 'G', 'B'], 101 => ['R', 'G', 'B', 'A'],
        102 => ['R', 'G', 'B'], 103 => ['R', 'G', 'B', 'A'],
    ];

    private const USER = ['user', 'user2', 'user3', 'user4', 'user5', 'user6', 'user7', 'user8'];

    /** Samples of each pixel where they are not its channels: colour at half the pixels. */
    private const HALVED = [100 => 2, 101 => 3];

    private const TRANSFERS = [
        1 => 'printing density', 2 => 'linear', 3 => 'logarithmic', 4 => 'unspecified video', 5 => 'SMPTE 274M',
        6 => 'ITU-R BT.709', 7 => 'ITU-R BT.601 B or G', 8 => 'ITU-R BT.601 M', 9 => 'NTSC', 10 => 'PAL',
        11 => 'linear depth', 12 => 'homogeneous depth',
    ];

    private const COLOURS = [
        1 => 'log', 2 => 'linear', 3 => 'log', 5 => 'rec709', 6 => 'rec709', 7 => 'rec601', 8 => 'rec601',
    ];

    /** @param  int|null  $place  where its samples begin, in bytes from the start; null where that is not told */
    public function __construct(
        private int $descriptor,
        private int $transfer,
        public int $bits,
        public int $packing,
        public bool $isPacked,
        public ?int $place,
    ) {}

    /** @return list<string> in the order of their samples */
    public function channels(): array
    {
        return self::CHANNELS[$this->descriptor]
            ?? array_slice(self::USER, 0, $this->samples());
    }

    /** Of each pixel, on the mean. */
    public function samples(): int
    {
        return match (true) {
            isset(self::HALVED[$this->descriptor]) => self::HALVED[$this->descriptor],
            isset(self::CHANNELS[$this->descriptor]) => count(self::CHANNELS[$this->descriptor]),
            $this->descriptor >= 150 && $this->descriptor <= 156 => $this->descriptor - 148,
            default => 1,
        };
    }

    public function isDifferences(): bool
    {
        return $this->descriptor >= 100 && $this->descriptor <= 103;
    }

    public function chroma(): ?string
    {
        return match ($this->descriptor) {
            100, 101 => '4:2:2',
            102, 103 => '4:4:4',
            default => null,
        };
    }

    public function colour(): ?string
    {
        return self::COLOURS[$this->transfer] ?? null;
    }

    public function transfer(): ?string
    {
        return self::TRANSFERS[$this->transfer] ?? null;
    }

    /** Bytes of a line, of whole words of 32 bits where samples are packed or filled into these. */
    public function lineBytes(int $width): int
    {
        $samples = $width * $this->samples();

        return match (true) {
            $this->bits === 8, $this->bits === 16, $this->bits >= 32 => intdiv($samples * $this->bits, 8),
            $this->packing === self::PACKED => 4 * intdiv($samples * $this->bits + 31, 32),
            $this->bits === 10 => 4 * intdiv($samples + 2, 3),
            $this->bits === 12 => 2 * $samples,
            default => 4 * intdiv($samples * $this->bits + 31, 32),
        };
    }
}
