<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;

/**
 * The central directory of a zip archive, read entry by entry (ZIP file format specification 6.3, with the fields of
 * the long form). It is what counts: names and lengths of the local headers are not believed.
 */
final readonly class ZipDirectory
{
    private const END = "PK\x05\x06";

    private const END_LENGTH = 22;

    private const LONG_LOCATOR = "PK\x06\x07";

    private const LONG_LOCATOR_LENGTH = 20;

    private const LONG_END = "PK\x06\x06";

    private const ENTRY = "PK\x01\x02";

    private const ENTRY_LENGTH = 46;

    private const LONGEST_COMMENT = 65_535;

    private const MOST = 3_000_000;

    private const LARGEST = 512 << 20;

    private const PIECE = 1 << 20;

    private const ELSEWHERE = 0xFFFFFFFF;

    /** Fields behind a name: of the long form, and the time in seconds. */
    private const LONG_FORM = 0x0001;

    private const TIME = 0x5455;

    /** Systems that write a mode into the upper half of the attributes; its bits of the type, and a link's. */
    private const POSIX = [3, 19];

    private const TYPE = 0170000;

    private const LINK = 0120000;

    /** @param  int  $shift  bytes that stand before the archive, where another file does */
    private function __construct(
        private ByteSource $source,
        private string $label,
        private int $at,
        private int $length,
        public int $count,
        private int $shift,
    ) {}

    public static function isZip(string $head): bool
    {
        return str_starts_with($head, "PK\x03\x04") || str_starts_with($head, self::END);
    }

    /** @throws ArchiveRefused */
    public static function open(ByteSource $source, string $label): self
    {
        $size = $source->size();
        $from = max(0, $size - self::END_LENGTH - self::LONGEST_COMMENT);
        $tail = $source->read($from, $size - $from);
        $at = strrpos($tail, self::END);
        if ($at === false || strlen($tail) - $at < self::END_LENGTH) {
            throw ArchiveRefused::because($label, 'is not whole: its directory is missing. Pack or send it once more');
        }
        $order = ByteOrder::Little;
        $end = [$order->u16($tail, $at + 10), $order->u32($tail, $at + 12), $order->u32($tail, $at + 16)];
        $before = $from + $at;
        if ($order->u16($tail, $at + 10) === 0xFFFF || in_array(self::ELSEWHERE, $end, true)) {
            [$end, $before] = self::longEnd($source, $before, $label) ?? [$end, $before];
        }
        [$count, $length, $place] = $end;
        $shift = $before - $length - $place;
        if ($count > self::MOST || $length > self::LARGEST) {
            throw ArchiveRefused::because($label, 'names '.number_format($count).' files, which is too many');
        }
        if ($shift < 0 || $place < 0 || $length < $count * self::ENTRY_LENGTH) {
            throw ArchiveRefused::because($label, 'is not whole: its directory is not where it should be');
        }

        return new self($source, $label, $place + $shift, $length, $count, $shift);
    }

    /** @return array{array{int, int, int}, int}|null count, length and place, and where it stands itself */
    private static function longEnd(ByteSource $source, int $end, string $label): ?array
    {
        $locator = $source->read($end - self::LONG_LOCATOR_LENGTH, self::LONG_LOCATOR_LENGTH);
        if (! str_starts_with($locator, self::LONG_LOCATOR)) {
            return null;
        }
        $order = ByteOrder::Little;
        $at = $order->u64($locator, 8);
        $bytes = $source->read(max(0, $at), 56);
        if (! str_starts_with($bytes, self::LONG_END)) {
            throw ArchiveRefused::because($label, 'is not whole: its directory is not where it should be');
        }

        return [[$order->u64($bytes, 32), $order->u64($bytes, 40), $order->u64($bytes, 48)], $at];
    }

    /**
     * @return \Generator<int, ZipEntry> by their number from 0 on
     *
     * @throws ArchiveRefused where it breaks off
     */
    public function entries(): \Generator
    {
        $held = '';
        $read = 0;
        $at = 0;
        for ($number = 0; $number < $this->count; $number++) {
            if (strlen($held) - $at < self::ENTRY_LENGTH + 3 * 65_536 && $read < $this->length) {
                $held = substr($held, $at).$this->source->read($this->at + $read, self::PIECE);
                $read += self::PIECE;
                $at = 0;
            }
            $length = $this->lengthAt($held, $at);
            yield $number => $this->entry(substr($held, $at, $length));
            $at += $length;
        }
    }

    private function lengthAt(string $held, int $at): int
    {
        $order = ByteOrder::Little;
        $isEntry = substr($held, $at, 4) === self::ENTRY;
        $length = self::ENTRY_LENGTH + $order->u16($held, $at + 28) + $order->u16($held, $at + 30)
            + $order->u16($held, $at + 32);
        if (! $isEntry || $at + $length > strlen($held)) {
            throw ArchiveRefused::because($this->label, 'is not whole: its directory breaks off');
        }

        return $length;
    }

    private function entry(string $bytes): ZipEntry
    {
        /**
         * @var array{madeby: int, flags: int, method: int, time: int, date: int, crc: int, packed: int, size: int,
         *   name: int, extra: int, attributes: int, place: int} $is
         */
        $is = unpack(
            'x5/Cmadeby/x2/vflags/vmethod/vtime/vdate/Vcrc/Vpacked/Vsize/vname/vextra/x6/Vattributes/Vplace',
            $bytes,
        );
        $extra = substr($bytes, self::ENTRY_LENGTH + $is['name'], $is['extra']);
        [$size, $packed, $place] = self::long($extra, [$is['size'], $is['packed'], $is['place']]);

        return new ZipEntry(
            ZipName::raw(substr($bytes, self::ENTRY_LENGTH, $is['name']), $extra),
            $is['flags'],
            $is['method'],
            $is['crc'],
            new ZipSpan($place + $this->shift, $packed, $size),
            self::seconds($extra) ?? self::clock($is['date'], $is['time']),
            in_array($is['madeby'], self::POSIX, true) && ($is['attributes'] >> 16 & self::TYPE) === self::LINK,
        );
    }

    /**
     * @param  array{int, int, int}  $told  size, packed size and place
     * @return array{int, int, int}
     */
    private static function long(string $extra, array $told): array
    {
        $field = self::field($extra, self::LONG_FORM);
        $at = 0;
        foreach ($told as $i => $number) {
            if ($number === self::ELSEWHERE && $at + 8 <= strlen($field)) {
                $told[$i] = max(0, ByteOrder::Little->u64($field, $at));
                $at += 8;
            }
        }

        return $told;
    }

    public static function field(string $extra, int $id): string
    {
        for ($at = 0; $at + 4 <= strlen($extra); $at += 4 + $length) {
            $length = ByteOrder::Little->u16($extra, $at + 2);
            if (ByteOrder::Little->u16($extra, $at) === $id) {
                return substr($extra, $at + 4, $length);
            }
        }

        return '';
    }

    private static function seconds(string $extra): ?int
    {
        $field = self::field($extra, self::TIME);

        return strlen($field) >= 5 && (ord($field[0]) & 1) === 1 ? ByteOrder::Little->i32($field, 1) : null;
    }

    /** To two seconds, in no time zone that is told: as if it were UTC. */
    private static function clock(int $date, int $time): int
    {
        return (int) gmmktime(
            $time >> 11,
            $time >> 5 & 63,
            2 * ($time & 31),
            max(1, $date >> 5 & 15),
            max(1, $date & 31),
            1980 + ($date >> 9),
        );
    }
}
