<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;

/** The frame header of a JPEG (ITU-T T.81, B.2.2). */
final readonly class JpegFrame
{
    /** Words by how many times denser luminance is than colour, across and down. */
    private const CHROMA = [
        1 => [1 => '4:4:4', 2 => '4:4:0'],
        2 => [1 => '4:2:2', 2 => '4:2:0'],
        4 => [1 => '4:1:1', 2 => '4:1:0'],
    ];

    /** @param  non-empty-list<array{int, int}>  $sampling horizontal and vertical factors of each component */
    private function __construct(
        private int $marker,
        public int $bits,
        public int $width,
        public int $height,
        private array $sampling,
    ) {}

    public static function isHeadedBy(int $marker): bool
    {
        return $marker >= 0xC0 && $marker <= 0xCF && ! in_array($marker, [0xC4, 0xC8, 0xCC], true);
    }

    /** @throws FileDamaged */
    public static function read(string $data, int $marker): self
    {
        if (strlen($data) < 6 || strlen($data) < 6 + 3 * ord($data[5])) {
            throw FileDamaged::cutShort('the file ends inside its frame header');
        }
        $bits = ord($data[0]);
        [$height, $width] = [ord($data[1]) << 8 | ord($data[2]), ord($data[3]) << 8 | ord($data[4])];
        $components = ord($data[5]);
        if ($width === 0 || $components < 1 || $components > 4 || $bits < 2 || $bits > 16) {
            throw FileDamaged::header('the frame header names an impossible size, depth or count of components');
        }
        $sampling = [];
        for ($i = 0; $i < $components; $i++) {
            $sampling[] = [ord($data[7 + 3 * $i]) >> 4, ord($data[7 + 3 * $i]) & 15];
        }

        return new self($marker, $bits, $width, $height, $sampling);
    }

    /** @return list<string> */
    public function channels(): array
    {
        return match (count($this->sampling)) {
            1 => ['Y'],
            2 => ['Y', 'A'],
            3 => ['R', 'G', 'B'],
            default => ['C', 'M', 'Y', 'K'],
        };
    }

    public function hasInks(): bool
    {
        return count($this->sampling) === 4;
    }

    public function process(): string
    {
        return match ($this->marker) {
            0xC0 => 'baseline',
            0xC1 => 'extended',
            0xC2 => 'progressive',
            0xC3 => 'lossless',
            0xC9 => 'arithmetic',
            0xCA => 'arithmetic, progressive',
            default => 'other',
        };
    }

    public function chroma(): ?string
    {
        if (count($this->sampling) !== 3 || $this->sampling[1] !== $this->sampling[2]) {
            return null;
        }
        [[$across, $down], [$chromaAcross, $chromaDown]] = $this->sampling;
        if ($chromaAcross === 0 || $chromaDown === 0 || $across % $chromaAcross + $down % $chromaDown > 0) {
            return null;
        }

        return self::CHROMA[intdiv($across, $chromaAcross)][intdiv($down, $chromaDown)] ?? null;
    }
}
