<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

/** How colours are turned into luma and chroma and tagged (ITU-T H.273): without it, encoders assume what they like. */
final readonly class EncoderColour
{
    private function __construct(
        public string $matrix,
        public string $primaries,
        public string $transfer,
        public string $curve,
    ) {}

    public static function of(?string $encoding): self
    {
        return match ($encoding) {
            'rec601' => new self('smpte170m', 'smpte170m', 'smpte170m', 'bt709'),
            'rec2020' => new self('bt2020nc', 'bt2020', 'bt2020-10', 'bt2020_10'),
            'srgb' => new self('bt709', 'bt709', 'iec61966-2-1', 'iec61966_2_1'),
            default => new self('bt709', 'bt709', 'bt709', 'bt709'),
        };
    }

    /**
     * @param  bool  $isFull  whether values span all there are, as JPEG's do
     * @return list<string>
     */
    public function tags(bool $isFull): array
    {
        return [
            '-color_primaries', $this->primaries, '-color_trc', $this->transfer, '-colorspace', $this->matrix,
            '-color_range', $isFull ? 'pc' : 'tv',
        ];
    }

    /** As the filter that scales knows it. */
    public function scalesTo(): string
    {
        return match ($this->matrix) {
            'smpte170m' => 'bt601',
            'bt2020nc' => 'bt2020',
            default => 'bt709',
        };
    }
}
