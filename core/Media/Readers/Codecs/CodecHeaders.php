<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** Facts of a track's codec, from what its container keeps beside the track, and else from its first picture. */
final readonly class CodecHeaders
{
    /** So many bytes of the first picture are read where they are needed. */
    public const SAMPLE = 2048;

    /** Codecs whose every picture stands by itself. */
    private const INTRA = [
        'prores', 'mjpeg', 'png', 'raw', 'dnxhd', 'dv', 'jpeg2000', 'huffyuv', 'utvideo', 'magicyuv',
    ];

    /**
     * @param  string  $code  four letters
     * @param  string  $record  the codec's own record; empty where there is none
     * @param  int  $bits  of a pixel as the container tells them; 0 where it does not
     */
    public function __construct(
        public string $codec,
        private string $code,
        private string $record = '',
        private int $bits = 0,
    ) {}

    /** Codecs that have no picture which needs a later one. */
    private const WITHOUT_B_FRAMES = ['ffv1', 'animation', 'vp8', 'vp9', 'av1'];

    public static function hasNoBFrames(string $codec): bool
    {
        return self::isIntra($codec) || in_array($codec, self::WITHOUT_B_FRAMES, true);
    }

    public static function isIntra(string $codec): bool
    {
        return in_array($codec, self::INTRA, true);
    }

    /** @param  \Closure(): string  $first  the first picture, or its beginning */
    public function facts(\Closure $first): CodecFacts
    {
        return $this->ofRecord() ?? $this->ofFirst($first());
    }

    /** Of codecs whose record, or whose name, tells all that can be told; null of others. */
    private function ofRecord(): ?CodecFacts
    {
        return match ($this->codec) {
            'av1' => Av1Config::read($this->record),
            'vp8' => new CodecFacts(null, 8, '4:2:0', ['R', 'G', 'B'], 'progressive'),
            'animation' => (new CodecFacts(scan: 'progressive'))->or(RawPictures::read('', $this->bits)),
            'raw' => RawPictures::read($this->code, $this->bits),
            default => $this->record === '' ? null : $this->ofOwnRecord(),
        };
    }

    private function ofOwnRecord(): ?CodecFacts
    {
        return match ($this->codec) {
            'hevc' => $this->record[0] === "\1" ? HevcParameters::ofRecord($this->record) : null,
            'vp9' => Vp9Config::ofRecord($this->record),
            'ffv1' => Ffv1Config::read($this->record),
            default => null,
        };
    }

    private function ofFirst(string $first): CodecFacts
    {
        return match ($this->codec) {
            'h264' => $this->h264($first),
            'hevc' => HevcParameters::ofStream($this->record.$first),
            'prores' => ProResFrame::read($this->code, $first),
            'vp9' => Vp9Config::ofFrame($first),
            'ffv1' => Ffv1Config::ofFrame($first),
            'png' => StillSample::png($first),
            'mjpeg' => StillSample::jpeg($first),
            'dnxhd' => DnxFrame::read($first),
            default => $this->ofMpeg($first),
        };
    }

    private function ofMpeg(string $first): CodecFacts
    {
        return match ($this->codec) {
            'mpeg1', 'mpeg2' => MpegSequence::mpeg2($this->record.$first),
            'mpeg4' => MpegSequence::mpeg4($this->record.$first),
            'huffyuv', 'utvideo', 'magicyuv' => new CodecFacts(shape: new CodecShape(isLossless: true)),
            default => new CodecFacts,
        };
    }

    private function h264(string $sample): CodecFacts
    {
        $told = ord($this->record[0] ?? "\0") === 1
            ? H264Parameters::ofRecord($this->record)
            : H264Parameters::ofStream($this->record);
        if ($told->bitDepth !== null) {
            return $told;
        }
        $isStream = preg_match('~^\0{2,3}\x01~', $sample) === 1;
        $set = $isStream ? null : self::setAmongLengths($sample);

        return ($set === null ? H264Parameters::ofStream($sample) : H264Parameters::ofSet($set))->or($told);
    }

    /** The sequence parameter set in a picture whose units are led by their lengths. */
    private static function setAmongLengths(string $sample): ?string
    {
        for ($at = 0, $i = 0; $at + 5 <= strlen($sample) && $i < 16; $i++) {
            $length = (int) hexdec(bin2hex(substr($sample, $at, 4)));
            if ((ord($sample[$at + 4]) & 31) === 7) {
                return substr($sample, $at + 4, $length);
            }
            $at += 4 + $length;
        }

        return null;
    }
}
