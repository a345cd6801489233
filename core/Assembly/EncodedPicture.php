<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/** In which format and codec a movie's pictures are packed: as asked, and where nothing is, as the container has them. */
final readonly class EncodedPicture
{
    /** What is usual in each container: without alpha, and with it. */
    private const USUAL = [
        'mp4' => ['h264', 'png'], 'mov' => ['prores 422hq', 'prores 4444'], 'avi' => ['mjpeg', 'png'],
        'mkv' => ['h264', 'ffv1'], 'webm' => ['vp9', 'vp9'], 'mxf' => ['mpeg2', 'prores 4444'],
    ];

    private const LOSSLESS = ['mov' => 'png', 'avi' => 'ffv1', 'mkv' => 'ffv1', 'mp4' => 'png', 'mxf' => 'ffv1'];

    /** Bits a channel where none are asked; others have 8. */
    private const DEPTHS = ['prores' => 10, 'v210' => 10];

    /**
     * @param  bool  $isChosen  whether the codec was chosen here, since none is asked
     * @param  string|null  $chroma  `4:2:0`; null of what keeps red, green and blue
     */
    private function __construct(
        public Kind $kind,
        public string $codec,
        public bool $isChosen,
        public ?string $chroma,
        public int $depth,
        public bool $hasAlpha,
    ) {}

    public static function of(Part $part): self
    {
        $kinds = array_filter($part->kinds(), static fn (Kind $k): bool => $k->isMovie());
        $kind = array_values($kinds)[0] ?? Kind::Mp4;
        $hasAlpha = self::asksAlpha($part);
        $asked = $part->values(RequirementId::FORMAT_CODEC);
        $codec = $asked[0] ?? self::usual($part, $kind, $hasAlpha);
        $chroma = $part->single(RequirementId::FORMAT_CHROMA) ?? self::chroma($codec);
        $depth = $part->single(RequirementId::FORMAT_BIT_DEPTH);
        $family = explode(' ', $codec)[0];

        return new self(
            $kind,
            $codec,
            $asked === [],
            $chroma,
            $depth === null ? self::DEPTHS[$family] ?? 8 : (int) $depth,
            $hasAlpha && CodecCapabilities::canHoldAlpha($codec),
        );
    }

    private static function asksAlpha(Part $part): bool
    {
        $alpha = $part->single(RequirementId::FORMAT_ALPHA);
        $channels = $part->values(RequirementId::FORMAT_CHANNELS);

        return ($alpha !== null && $alpha !== 'none') || preg_match('~A\b~', implode(' ', $channels)) === 1;
    }

    private static function usual(Part $part, Kind $kind, bool $hasAlpha): string
    {
        $packed = $part->values(RequirementId::FORMAT_COMPRESSION);
        $isLossless = in_array('lossless', $packed, true);
        // what a compression is called in a movie is its codec
        $named = array_values(array_filter($packed, self::isCodec(...)));

        return match (true) {
            $named !== [] => $named[0],
            $isLossless => self::LOSSLESS[$kind->value] ?? 'ffv1',
            default => self::USUAL[$kind->value][(int) $hasAlpha] ?? 'h264',
        };
    }

    private static function isCodec(string $word): bool
    {
        return CodecCapabilities::isLossy($word) || CodecCapabilities::isLossless($word, null);
    }

    private static function chroma(string $codec): ?string
    {
        return match (true) {
            in_array($codec, ['png', 'animation', 'raw', 'ffv1'], true) => null,
            str_starts_with($codec, 'prores 4444') => '4:4:4',
            str_starts_with($codec, 'prores'), $codec === 'v210' => '4:2:2',
            default => '4:2:0',
        };
    }

    public function isLossy(): bool
    {
        return CodecCapabilities::isLossy($this->codec);
    }

    /** Whether its size is set by a bit rate rather than by its kind. */
    public function hasBitRate(): bool
    {
        return in_array($this->codec, ['h264', 'hevc', 'av1', 'vp9', 'vp8', 'mpeg2', 'mpeg4'], true);
    }

    /** Whether sides have to be even, each two pixels sharing their colour. */
    public function needsEvenSides(): bool
    {
        return $this->chroma === '4:2:0';
    }

    /** `4:2:0, 8 bits a channel, with alpha`. */
    public function inWords(): string
    {
        return ($this->chroma ?? 'red, green and blue').", {$this->depth} bits a channel"
            .($this->hasAlpha ? ', with alpha' : '');
    }
}
