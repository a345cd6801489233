<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\Wholeness;

/** PNG (ISO/IEC 15948): header, the chunks before the picture, the end mark; in full, every chunk's CRC. */
final readonly class PngReader implements OutliningReader
{
    private const END = "\0\0\0\0IEND\xAE\x42\x60\x82";

    /** Of a chunk: its length and type before, its CRC behind. */
    private const AROUND = 12;

    /** How much of the end is looked through where a long text may stand there. */
    private const LONG_TAIL = 1 << 17;

    /** So many chunks are followed at most: quickly where the end mark is not at the end, and in full. */
    private const MOST_STEPS = 100_000;

    private const MOST_STEPS_IN_FULL = 2_000_000;

    /** More chunks than this before the picture are a lie. */
    private const MOST_CHUNKS = 4000;

    public function kind(): Kind
    {
        return Kind::Png;
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        $at = strpos($file->head, 'IDAT');
        $behind = self::behindPicture($file);
        if ($at === false) {
            return null;
        }

        return new FixedOutline(
            FixedBytes::of($file->head, $at - 4, []),
            $facts,
            fn (FileEnds $other): FileDamaged|false|null => self::behindPicture($other) === $behind
                ? $this->tailDamage($other)
                : false,
        );
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        if (str_ends_with($file->tail(), self::END)) {
            return null;
        }
        // bytes after the end mark harm nobody; the chunks say where it stands
        if (str_contains($file->tail(), self::END) || $this->reachesEnd($file->source, false)) {
            return null;
        }

        return FileDamaged::cutShort('the end mark is missing after '.$file->size().' bytes');
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $picture = PngHeader::read($file->head);
        $chunks = $this->chunksBeforePicture($file);
        foreach (self::behindPicture($file) as $chunk) {
            $chunks->take(substr($chunk, 4, 4), substr($chunk, 8, -4), strlen($chunk) - self::AROUND);
        }
        $facts = self::facts($picture, $chunks);
        try {
            $damaged = $depth === ScanDepth::Full ? $this->bodyDamage($file->source) : $this->tailDamage($file);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    /** @throws FileTooLarge */
    private function bodyDamage(ByteSource $source): ?FileDamaged
    {
        try {
            return $this->reachesEnd($source, true)
                ? null
                : FileDamaged::cutShort('the end mark is missing after '.$source->size().' bytes');
        } catch (FileDamaged $damaged) {
            return $damaged;
        }
    }

    /** What the chunks before the picture tell. */
    private function chunksBeforePicture(FileEnds $file): PngChunks
    {
        $chunks = new PngChunks;
        $at = PngHeader::END;
        for ($i = 0; $i < self::MOST_CHUNKS; $i++) {
            $lead = $file->read($at, 8);
            if (strlen($lead) < 8) {
                break;
            }
            [$length, $type] = [self::uint32($lead, 0), substr($lead, 4, 4)];
            $isNone = $length > 0x7FFFFFFF || preg_match('~^[A-Za-z]{4}$~', $type) !== 1;
            if ($isNone || $type === 'IDAT' || $type === 'IEND') {
                break;
            }
            $longest = $type === 'iTXt' ? PngChunks::LARGEST_PACKET : PngChunks::LARGEST_TEXT;
            $data = $length <= $longest ? $file->read($at + 8, $length) : '';
            $chunks->take($type, $data, $length);
            $at += 12 + $length;
        }

        return $chunks;
    }

    /**
     * Chunks of text between the picture's last chunk and the end mark, where many writers put them.
     *
     * @return list<string> whole, in their order
     */
    private static function behindPicture(FileEnds $file): array
    {
        $tail = $file->tail();
        $chunks = self::chunksToEnd($tail);
        // what stands before the end mark is packed unless it is text: of that more may be there than was read
        $before = substr($tail, -400, 380);
        if ($chunks === [] && $file->size() > strlen($tail) && preg_match('~[^\t\r\n -\x7E]{8}~', $before) !== 1) {
            $chunks = self::chunksToEnd($file->read(
                max(0, $file->size() - self::LONG_TAIL),
                min(self::LONG_TAIL, $file->size()),
            ));
        }

        return $chunks;
    }

    /** @return list<string> */
    private static function chunksToEnd(string $tail): array
    {
        if (! str_ends_with($tail, self::END)) {
            return [];
        }
        $end = strlen($tail) - self::AROUND;
        $from = 0;
        while (preg_match('~tEXt|[iz]TXt|eXIf~', $tail, $m, PREG_OFFSET_CAPTURE, $from) === 1) {
            $at = $m[0][1];
            $from = $at + 1;
            $chunks = $at < 4 ? [] : self::chain($tail, $at - 4, $end);
            if ($chunks !== []) {
                return $chunks;
            }
        }

        return [];
    }

    /** @return list<string> the chunks from here on, if they end where they should */
    private static function chain(string $tail, int $at, int $end): array
    {
        $chunks = [];
        while ($at < $end) {
            $length = self::AROUND + self::uint32($tail, $at);
            if ($length > $end - $at) {
                return [];
            }
            $chunks[] = substr($tail, $at, $length);
            $at += $length;
        }

        return $chunks;
    }

    private static function facts(PngHeader $picture, PngChunks $chunks): MediaFacts
    {
        $header = $chunks->header;
        if ($picture->hasPalette()) {
            $header['palette'] = 'yes';
        }
        if ($picture->interlaced) {
            $header['interlaced storage'] = 'yes';
        }

        return new MediaFacts(
            Kind::Png,
            new PictureFacts(
                $picture->width,
                $picture->height,
                $chunks->pixelAspect(),
                density: $chunks->density,
                colour: $chunks->colour(),
                projection: $chunks->projection ?? ProjectionTag::inTexts($header),
            ),
            new PictureEncoding($picture->depth, 'uint', $picture->channels($chunks->transparent), 'deflate'),
            labels: new FileLabels($chunks->camera(), header: $header),
            wholeness: Wholeness::whole(),
        );
    }

    /**
     * Follows the chunks; whether the end mark is reached, and a picture before it.
     *
     * @param  bool  $sums  also compare every chunk's CRC
     *
     * @throws FileDamaged where a CRC fails
     * @throws FileTooLarge where there are more chunks than any encoder writes
     */
    private function reachesEnd(ByteSource $source, bool $sums): bool
    {
        $size = $source->size();
        $at = 8;
        $hasPicture = false;
        $most = $sums ? self::MOST_STEPS_IN_FULL : self::MOST_STEPS;
        for ($chunks = 0; $at + 12 <= $size; $chunks++) {
            if ($chunks >= $most) {
                throw FileTooLarge::of('more than '.number_format($most).' chunks');
            }
            $lead = $source->read($at, 8);
            $length = strlen($lead) < 8 ? $size : self::uint32($lead, 0);
            $type = substr($lead, 4, 4);
            if ($at + 12 + $length > $size || preg_match('~^[A-Za-z]{4}$~', $type) !== 1) {
                return false;
            }
            $hasPicture = $hasPicture || $type === 'IDAT';
            if ($sums && ! $this->sumHolds($source, $at, $length, $type)) {
                throw FileDamaged::checksum("the {$type} chunk at byte {$at} fails its CRC");
            }
            $at += 12 + $length;
            if ($type === 'IEND') {
                return $hasPicture;
            }
        }

        return false;
    }

    private function sumHolds(ByteSource $source, int $at, int $length, string $type): bool
    {
        $sum = hash_init('crc32b');
        hash_update($sum, $type);
        for ($read = 0; $read < $length; $read += 1 << 18) {
            hash_update($sum, $source->read($at + 8 + $read, min(1 << 18, $length - $read)));
        }

        return hash_final($sum, true) === $source->read($at + 8 + $length, 4);
    }

    private static function uint32(string $bytes, int $at): int
    {
        return ord($bytes[$at]) << 24 | ord($bytes[$at + 1]) << 16 | ord($bytes[$at + 2]) << 8 | ord($bytes[$at + 3]);
    }
}
