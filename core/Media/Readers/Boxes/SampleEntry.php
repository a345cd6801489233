<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Readers\Codecs\CodecCode;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;

/** How the pictures of a track are kept (ISO/IEC 14496-12, 8.5.2 and 12.1.3). */
final readonly class SampleEntry
{
    /** Before the boxes within, after those of the entry itself. */
    private const FIXED = 78;

    /** Records of codecs, by the box they stand in, and what stands before them in it. */
    private const RECORDS = [
        'avcC' => 0, 'hvcC' => 0, 'av1C' => 0, 'vpcC' => 4, 'glbl' => 0, 'esds' => 4,
    ];

    private const LARGEST_RECORD = 65536;

    /** @param  array<string, Box>  $boxes  within it */
    private function __construct(
        public string $code,
        public int $width,
        public int $height,
        public int $bits,
        private FileEnds $file,
        private array $boxes,
    ) {}

    public static function read(FileEnds $file, Box $entry): self
    {
        $fixed = str_pad($file->read($entry->body, min(self::FIXED, $entry->length())), self::FIXED, "\0");
        $inner = $entry->length() > self::FIXED + 8 ? self::boxesOf($file, $entry) : [];

        return new self(
            $entry->type,
            ByteOrder::Big->u16($fixed, 24),
            ByteOrder::Big->u16($fixed, 26),
            ByteOrder::Big->u16($fixed, 74),
            $file,
            $inner,
        );
    }

    /**
     * As far as they are boxes: some writers put something else behind them.
     *
     * @return array<string, Box>
     */
    private static function boxesOf(FileEnds $file, Box $entry): array
    {
        $found = [];
        for ($at = $entry->body + self::FIXED; $at + 8 <= $entry->end; $at += $length) {
            $lead = $file->read($at, 8);
            $length = ByteOrder::Big->u32($lead);
            if ($length < 8 || $at + $length > $entry->end) {
                break;
            }
            $type = substr($lead, 4, 4);
            $found[$type] ??= new Box($type, $at, $at + 8, $at + $length);
        }

        return $found;
    }

    public function codec(): CodecHeaders
    {
        $record = '';
        foreach (self::RECORDS as $type => $skip) {
            $record = $record === '' ? $this->data($type, $skip) : $record;
        }
        $codec = $this->code === 'mp4v'
            ? self::ofObjectType(self::objectType($record))
            : CodecCode::picture($this->code);

        return new CodecHeaders($codec, $this->code, $record, $this->bits);
    }

    /** The kind of object that the elementary stream's description names (ISO/IEC 14496-1, table 5). */
    public static function objectType(string $descriptor): int
    {
        $at = strpos($descriptor, "\x04");
        if ($at === false) {
            return 0;
        }
        for ($at++; $at < strlen($descriptor) && (ord($descriptor[$at]) & 0x80) !== 0;) {
            $at++;
        }

        return ord($descriptor[$at + 1] ?? "\0");
    }

    private static function ofObjectType(int $type): string
    {
        return match (true) {
            $type >= 0x60 && $type <= 0x65 => 'mpeg2',
            $type === 0x6A => 'mpeg1',
            $type === 0x6C => 'mjpeg',
            $type === 0x6D => 'png',
            default => 'mpeg4',
        };
    }

    /** Width of a pixel by its height; null where the entry does not say. */
    public function pixelAspect(): ?BigRational
    {
        $bytes = $this->data('pasp');
        [$across, $down] = [ByteOrder::Big->u32($bytes), ByteOrder::Big->u32($bytes, 4)];

        return $across > 0 && $down > 0 ? BigRational::nd($across, $down)->simplified() : null;
    }

    /** @return array{int, int}|null colour primaries and transfer */
    public function codePoints(): ?array
    {
        $bytes = $this->data('colr');
        $points = [ByteOrder::Big->u16($bytes, 4), ByteOrder::Big->u16($bytes, 6)];

        return in_array(substr($bytes, 0, 4), ['nclx', 'nclc'], true) ? $points : null;
    }

    public function scan(): ?string
    {
        $bytes = $this->data('fiel');

        return match ($bytes === '' ? 0 : ord($bytes[0])) {
            1 => 'progressive',
            2 => 'interlaced',
            default => null,
        };
    }

    /** The clean aperture, whole pixels: `704x576`; null where it is all of it. */
    public function cleanAperture(): ?string
    {
        $bytes = $this->data('clap');
        $sides = array_map(static fn (int $at): int => ByteOrder::Big->u32($bytes, $at), [0, 4, 8, 12]);
        if ($sides[1] < 1 || $sides[3] < 1) {
            return null;
        }
        $size = intdiv($sides[0], $sides[1]).'x'.intdiv($sides[2], $sides[3]);

        return $size === "{$this->width}x{$this->height}" ? null : $size;
    }

    /** `lat-long`, `lat-long stereo`, `cube`; null where nothing says so. */
    public function projection(): ?string
    {
        if (! isset($this->boxes['sv3d'])) {
            return null;
        }
        $bytes = $this->data('sv3d');
        $isStereo = in_array(ord($this->data('st3d', 4)[0] ?? "\0"), [1, 2], true);

        return match (true) {
            str_contains($bytes, 'equi') => $isStereo ? 'lat-long stereo' : 'lat-long',
            str_contains($bytes, 'cbmp') => 'cube',
            default => null,
        };
    }

    /** The data of a box within; empty where it is not there. */
    private function data(string $type, int $skip = 0): string
    {
        $box = $this->boxes[$type] ?? null;

        return $box === null
            ? ''
            : $this->file->read($box->body + $skip, max(0, min(self::LARGEST_RECORD, $box->length() - $skip)));
    }
}
