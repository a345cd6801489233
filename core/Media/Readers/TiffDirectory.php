<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;

/** One image file directory (TIFF revision 6.0, section 2; eight-byte places as BigTIFF has them). */
final readonly class TiffDirectory
{
    /** How whole numbers are unpacked, by type: of the one byte order and of the other. */
    private const CODES = [
        1 => ['C', 'C'], 3 => ['v', 'n'], 4 => ['V', 'N'], 6 => ['C', 'C'], 7 => ['C', 'C'], 8 => ['v', 'n'],
        9 => ['V', 'N'], 13 => ['V', 'N'], 16 => ['P', 'J'], 17 => ['P', 'J'], 18 => ['P', 'J'],
    ];

    private const MOST_ENTRIES = 4096;

    /**
     * @param  array<int, array{int, int, int}>  $entries  type, count and where the values begin, by tag
     * @param  int  $next  where the next page's directory stands; 0 where there is none
     */
    private function __construct(private TiffFile $file, private array $entries, public int $next) {}

    /** @throws FileDamaged */
    public static function read(TiffFile $file, int $at): self
    {
        if ($at <= 0) {
            throw FileDamaged::cutShort('its header points at no directory: the file was not finished');
        }
        $countLength = $file->isBig ? 8 : 2;
        $lead = $file->bytes($at, $countLength);
        if ($at >= $file->size() || strlen($lead) < $countLength) {
            throw FileDamaged::cutShort(
                "its directory should stand at byte {$at} and the file ends after {$file->size()}",
            );
        }
        $count = $file->isBig ? $file->order->u64($lead) : $file->order->u16($lead);
        if ($count < 1 || $count > self::MOST_ENTRIES) {
            throw FileDamaged::header("its directory at byte {$at} names {$count} entries");
        }
        $length = $file->isBig ? 20 : 12;
        $bytes = $file->bytes($at + $countLength, $count * $length + $file->placeLength());
        if (strlen($bytes) < $count * $length) {
            throw FileDamaged::cutShort("the file ends inside its directory, after {$file->size()} bytes");
        }

        return new self(
            $file,
            self::entries($file, $bytes, $count, $at + $countLength),
            $file->place($bytes, $count * $length),
        );
    }

    /** @return array<int, array{int, int, int}> */
    private static function entries(TiffFile $file, string $bytes, int $count, int $from): array
    {
        [$length, $room] = [$file->isBig ? 20 : 12, $file->placeLength()];
        $entries = [];
        for ($i = 0; $i < $count; $i++) {
            $at = $i * $length;
            $type = $file->order->u16($bytes, $at + 2);
            $values = $file->place($bytes, $at + 4);
            $takes = (TiffEntry::LENGTHS[$type] ?? 1) * $values;
            if ($takes > $room && $file->place($bytes, $at + 4 + $room) + $takes > $file->size()) {
                throw FileDamaged::cutShort('its directory points beyond its end, after '.$file->size().' bytes');
            }
            $place = $takes <= $room && $values >= 0 ? $from + $at + 4 + $room : $file->place($bytes, $at + 4 + $room);
            $entries[$file->order->u16($bytes, $at)] = [$type, $values, $place];
        }

        return $entries;
    }

    public function has(int $tag): bool
    {
        return isset($this->entries[$tag]);
    }

    /** How many values there are, as told. */
    public function count(int $tag): int
    {
        return $this->entries[$tag][1] ?? 0;
    }

    /** The first of its whole numbers. */
    public function number(int $tag): ?int
    {
        return $this->numbers($tag, 1)[0] ?? null;
    }

    /**
     * Whole numbers from one on, as many as there are up to so many; none where it holds something else.
     *
     * @return list<int>
     */
    public function numbers(int $tag, int $most, int $from = 0): array
    {
        [$type, $count, $place] = $this->entries[$tag] ?? [0, 0, 0];
        $length = TiffEntry::LENGTHS[$type] ?? 1;
        $code = self::CODES[$type][$this->file->order === ByteOrder::Little ? 0 : 1] ?? null;
        $many = min($most, $count - $from);
        if ($code === null || $many < 1 || $place < 0) {
            return [];
        }
        $bytes = $this->file->bytes($place + $from * $length, $many * $length);
        $bytes = substr($bytes, 0, strlen($bytes) - strlen($bytes) % $length);
        /** @var array<int, int> $numbers */
        $numbers = $bytes === '' ? [] : unpack("{$code}*", $bytes);

        return array_values($numbers);
    }

    /** @return array{int, int}|null numerator and denominator, neither of them zero */
    public function ratio(int $tag): ?array
    {
        [$type, $count, $place] = $this->entries[$tag] ?? [0, 0, 0];
        if (($type !== 5 && $type !== 10) || $count < 1) {
            return null;
        }
        $bytes = $this->file->bytes($place, 8);
        [$top, $bottom] = [$this->file->order->u32($bytes), $this->file->order->u32($bytes, 4)];

        return $top > 0 && $bottom > 0 ? [$top, $bottom] : null;
    }

    /** Its bytes as they stand there, at most so many. */
    public function bytes(int $tag, int $most): string
    {
        [$type, $count, $place] = $this->entries[$tag] ?? [0, 0, 0];
        $length = min($most, $count * (TiffEntry::LENGTHS[$type] ?? 1));

        return $this->file->bytes($place, $length);
    }

    public function text(int $tag): ?string
    {
        $text = trim(explode("\0", $this->bytes($tag, 2048))[0]);

        return $text === '' ? null : $text;
    }
}
