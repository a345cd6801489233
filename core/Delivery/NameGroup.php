<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;

/**
 * Files of one folder whose names are the same but for their numbers. A number that is the same in all costs nothing;
 * one that differs costs nine bytes a file, whatever the names' length.
 */
final class NameGroup
{
    /** Longer runs of digits are text: no frame number has so many. */
    private const MOST_DIGITS = 17;

    /** So many files say why their pixels were not looked at; those after them are of the same kind. */
    private const MOST_REASONS = 200;

    private int $count = 0;

    /** @var array<int, string> packed 64-bit numbers, one a file; `""` while all are the first text */
    private array $columns;

    /** @var array<int, string> beside each number a byte: its count of digits, and 128 for a minus sign */
    private array $digits;

    /** @var array{string, string, list<string>}|null the newest name: before and after its last number, and its numbers */
    private ?array $newest = null;

    private string $sizes = '';

    private string $times = '';

    /** By which the listing knows its files again while they are looked through; not kept beyond. */
    private string $identities = '';

    private string $facts = '';

    /** Packed looks, all of one length; empty where pixels were not asked for. */
    private string $looks = '';

    private int $lookLength = 0;

    /** @var array<int, string> row to why its pixels were not unpacked; of the first few */
    private array $unlooked = [];

    /** @var array<int, int> row to the frame number its header tells, where no number of the name is that */
    private array $otherFrame = [];

    /** @var array<int, string> row to the timecode its header tells */
    private array $timecodes = [];

    /** @var array<int, array{int|null, int, string}|null> row to how far its picture is from the approved one; null where it could not be compared */
    private array $distances = [];

    /** @var array<int, string> row to why it may not be opened */
    private array $refused = [];

    /**
     * @param  list<string>  $literals  one more than there are numbers
     * @param  list<string>  $first  the numbers of the first file
     */
    private function __construct(
        public readonly string $folder,
        private readonly array $literals,
        private readonly array $first,
    ) {
        $this->columns = array_fill(0, count($first), '');
        $this->digits = $this->columns;
    }

    /** @return array{list<string>, list<string>} literals and numbers; a dash that stands after no letter or digit is a sign */
    public static function split(string $name): array
    {
        // the digit of an extension (`mp4`) counts nothing
        $extension = preg_match('~\.[A-Za-z][A-Za-z0-9]{0,4}$~', $name, $m) === 1 ? $m[0] : '';
        $parts = preg_split(
            '~((?:(?<![0-9A-Za-z\x80-\xFF])-)?\d+)~',
            substr($name, 0, strlen($name) - strlen($extension)),
            -1,
            PREG_SPLIT_DELIM_CAPTURE,
        )
            ?: [''];
        $parts[count($parts) - 1] .= $extension;
        $literals = [$parts[0]];
        $numbers = [];
        for ($i = 1, $many = count($parts); $i < $many; $i += 2) {
            if (strlen($parts[$i]) > self::MOST_DIGITS) {
                $literals[count($literals) - 1] .= $parts[$i].$parts[$i + 1];
            } else {
                $numbers[] = $parts[$i];
                $literals[] = $parts[$i + 1];
            }
        }

        return [$literals, $numbers];
    }

    /**
     * @param  list<string>  $literals
     * @param  list<string>  $numbers
     */
    public static function begin(string $folder, array $literals, array $numbers): self
    {
        return new self($folder, $literals, $numbers);
    }

    /** Adds a file whose name is that of the one before but for its last number; without parting it anew. */
    public function takes(ListedFile $file): bool
    {
        [$before, $after, $numbers] = $this->newest ?? ['', '', []];
        $digits = strlen($file->name) - strlen($before) - strlen($after);
        if ($numbers === [] || $digits < 1 || $digits > self::MOST_DIGITS || $file->folder !== $this->folder
            || ! str_starts_with($file->name, $before) || ! str_ends_with($file->name, $after)) {
            return false;
        }
        $number = substr($file->name, strlen($before), $digits);
        if (! ctype_digit($number)) {
            return false;
        }
        $numbers[count($numbers) - 1] = $number;
        $this->append($numbers, $file);

        return true;
    }

    /** @param  list<string>  $numbers */
    public function add(array $numbers, ListedFile $file): void
    {
        $this->append($numbers, $file);
        $last = count($numbers) - 1;
        $after = $this->literals[count($this->literals) - 1];
        $length = $last < 0 ? 0 : strlen($numbers[$last]);
        $this->newest = [substr($file->name, 0, strlen($file->name) - strlen($after) - $length), $after, $numbers];
    }

    /** @param  list<string>  $numbers */
    private function append(array $numbers, ListedFile $file): void
    {
        foreach ($numbers as $c => $text) {
            if ($this->columns[$c] !== '' || $text !== $this->first[$c]) {
                if ($this->columns[$c] === '') {
                    $this->columns[$c] = str_repeat(pack('q', (int) $this->first[$c]), $this->count);
                    $this->digits[$c] = str_repeat(self::digitsByte($this->first[$c]), $this->count);
                }
                $this->columns[$c] .= pack('q', (int) $text);
                $this->digits[$c] .= self::digitsByte($text);
            }
        }
        $this->sizes .= pack('q', $file->size);
        $this->times .= pack('q', $file->modified);
        $this->identities .= pack('q', $file->identity);
        if ($file->refused !== null) {
            $this->refused[$this->count] = $file->refused;
        }
        $this->count++;
    }

    private static function digitsByte(string $text): string
    {
        return $text[0] === '-' ? chr((strlen($text) - 1) | 128) : chr(strlen($text));
    }

    public function count(): int
    {
        return $this->count;
    }

    public function columnCount(): int
    {
        return count($this->first);
    }

    public function varies(int $column): bool
    {
        return $this->columns[$column] !== '';
    }

    /** The text of one number of one file, zeros and sign included. */
    public function numberText(int $column, int $row): string
    {
        if ($this->columns[$column] === '') {
            return $this->first[$column];
        }
        /** @var array{1: int} $packed */
        $packed = unpack('q', $this->columns[$column], 8 * $row);
        $digits = ord($this->digits[$column][$row]);

        $text = (string) $packed[1];
        // mostly it is as long as it is, or a little shorter
        if (strlen($text) === $digits) {
            return $text;
        }

        return ($digits & 128 ? '-' : '').str_pad((string) abs($packed[1]), $digits & 127, '0', STR_PAD_LEFT);
    }

    public function number(int $column, int $row): int
    {
        if ($this->columns[$column] === '') {
            return (int) $this->first[$column];
        }
        /** @var array{1: int} $packed */
        $packed = unpack('q', $this->columns[$column], 8 * $row);

        return $packed[1];
    }

    /**
     * One number of every file, by row.
     *
     * @return list<int>
     */
    public function numbers(int $column): array
    {
        return $this->columns[$column] === ''
            ? array_fill(0, $this->count, (int) $this->first[$column])
            : self::unpacked('q*', $this->columns[$column]);
    }

    /** How many digits every file writes this number with; null where they differ. */
    public function sharedDigits(int $column): ?int
    {
        $lengths = $this->columns[$column] === ''
            ? strlen(ltrim($this->first[$column], '-'))
            : count_chars($this->digits[$column], 1);
        if (is_int($lengths)) {
            return $lengths;
        }
        $plain = [];
        foreach (array_keys($lengths) as $byte) {
            $plain[$byte & 127] = true;
        }

        return count($plain) === 1 ? array_key_first($plain) : null;
    }

    /**
     * Sizes in bytes, by row.
     *
     * @return list<int>
     */
    public function sizes(): array
    {
        return self::unpacked('q*', $this->sizes);
    }

    /**
     * Seconds since 1970, by row.
     *
     * @return list<int>
     */
    public function times(): array
    {
        return self::unpacked('q*', $this->times);
    }

    /**
     * Ids of facts, by row.
     *
     * @return list<int>
     */
    public function factsIds(): array
    {
        return self::unpacked('V*', $this->facts);
    }

    /** @return list<int> */
    private static function unpacked(string $format, string $packed): array
    {
        /** @var array<int, int> $values */
        $values = $packed === '' ? [] : unpack($format, $packed);

        return array_values($values);
    }

    public function name(int $row): string
    {
        if (count($this->first) === 1) {
            return $this->literals[0].$this->numberText(0, $row).$this->literals[1];
        }
        $name = $this->literals[0];
        foreach ($this->first as $c => $text) {
            $name .= ($this->columns[$c] === '' ? $text : $this->numberText($c, $row)).$this->literals[$c + 1];
        }

        return $name;
    }

    /**
     * Name before and after one number, the others as in this row.
     *
     * @return array{string, string}
     */
    public function around(int $column, int $row): array
    {
        $sides = [$this->literals[0], ''];
        foreach (array_keys($this->first) as $c) {
            $side = $c < $column ? 0 : 1;
            $sides[$side] .= ($c === $column ? '' : $this->numberText($c, $row)).$this->literals[$c + 1];
        }

        return [$sides[0], $sides[1]];
    }

    private static function at(string $column, int $row): int
    {
        /** @var array{1: int} $packed */
        $packed = unpack('q', $column, 8 * $row);

        return $packed[1];
    }

    public function size(int $row): int
    {
        return self::at($this->sizes, $row);
    }

    public function modified(int $row): int
    {
        return self::at($this->times, $row);
    }

    /** As it was listed. */
    public function listed(int $row): ListedFile
    {
        $identity = $this->identities === '' ? 0 : self::at($this->identities, $row);

        return new ListedFile(
            $this->folder,
            $this->name($row),
            self::at($this->sizes, $row),
            self::at($this->times, $row),
            $this->refused[$row] ?? null,
            $identity,
        );
    }

    /** A file that has been changed since, as it is now. */
    public function relist(int $row, ListedFile $file): void
    {
        $put = static fn (string $column, int $value): string => substr_replace(
            $column,
            pack('q', $value),
            8 * $row,
            8,
        );
        $this->sizes = $put($this->sizes, $file->size);
        $this->times = $put($this->times, $file->modified);
        $this->identities = $this->identities === '' ? '' : $put($this->identities, $file->identity);
        if ($file->refused !== null) {
            $this->refused[$row] = $file->refused;
        }
    }

    public function refused(int $row): ?string
    {
        return $this->refused[$row] ?? null;
    }

    /** Facts are told in the order of the rows. */
    public function tellFacts(int $id): void
    {
        $this->facts .= pack('V', $id);
    }

    /**
     * With the facts of the same row, where pixels are looked at.
     *
     * @param  string|null  $tooLarge  why its pixels were not unpacked
     */
    public function tellLook(string $packed, ?string $tooLarge = null): void
    {
        if ($tooLarge !== null && count($this->unlooked) < self::MOST_REASONS) {
            $this->unlooked[intdiv(strlen($this->looks), strlen($packed))] = $tooLarge;
        }
        $this->lookLength = strlen($packed);
        $this->looks .= $packed;
    }

    /** What the header of one file tells of its place in time. */
    public function tellPlace(int $row, ?int $frame, ?string $timecode): void
    {
        if ($frame !== null && ! $this->hasNumber($row, $frame)) {
            $this->otherFrame[$row] = $frame;
        }
        if ($timecode !== null) {
            $this->timecodes[$row] = $timecode;
        }
    }

    /** Whether any number of the name is that, or ends in it. */
    public function hasNumber(int $row, int $number): bool
    {
        foreach (array_keys($this->first) as $column) {
            $text = $this->numberText($column, $row);
            if (
                (int) $text === $number
                || ($number >= 0 && preg_match('~0*'.$number.'$~', $text) === 1 && strlen($text) > 4)
            ) {
                return true;
            }
        }

        return $this->first === [];
    }

    /** The frame number in its header, where that is not the one in its name. */
    public function otherFrame(int $row): ?int
    {
        return $this->otherFrame[$row] ?? null;
    }

    public function timecode(int $row): ?string
    {
        return $this->timecodes[$row] ?? null;
    }

    public function tellDistance(int $row, ?PictureDistance $distance): void
    {
        $this->distances[$row] = $distance?->toArray();
    }

    /** False where it was not compared with any. */
    public function distance(int $row): PictureDistance|false|null
    {
        if (! array_key_exists($row, $this->distances)) {
            return false;
        }

        return $this->distances[$row] === null ? null : new PictureDistance(...$this->distances[$row]);
    }

    public function wasLookedAt(): bool
    {
        return $this->lookLength > 0;
    }

    /** Null where it could not be looked at, or was not asked to be. */
    public function look(int $row): ?PixelSample
    {
        return $this->lookLength === 0
            ? null
            : PixelSample::unpacked(substr($this->looks, $row * $this->lookLength, $this->lookLength));
    }

    /** Why its pixels were not unpacked, where they were too many. */
    public function unlooked(int $row): ?string
    {
        return $this->unlooked[$row] ?? null;
    }

    public function told(): int
    {
        return intdiv(strlen($this->facts), 4);
    }

    public function factsId(int $row): int
    {
        /** @var array{1: int} $packed */
        $packed = unpack('V', $this->facts, 4 * $row);

        return $packed[1];
    }

    /** @return array<string, mixed> plain values that JSON can hold */
    public function toArray(): array
    {
        $text = static fn (string $raw): string => base64_encode($raw);

        return [
            'folder' => $text($this->folder),
            'literals' => array_map($text, $this->literals),
            'first' => $this->first,
            'count' => $this->count,
            'columns' => array_map(
                static fn (string $c): string => base64_encode((string) gzdeflate($c, 3)),
                array_values($this->columns),
            ),
            'digits' => array_map(
                static fn (string $c): string => base64_encode((string) gzdeflate($c, 3)),
                array_values($this->digits),
            ),
            'sizes' => base64_encode((string) gzdeflate($this->sizes, 3)),
            'times' => base64_encode((string) gzdeflate($this->times, 3)),
            'facts' => base64_encode((string) gzdeflate($this->facts, 3)),
            'refused' => $this->refused,
        ]
            + array_filter(
                [
                    'unlooked' => $this->unlooked,
                    'other_frame' => $this->otherFrame,
                    'timecodes' => $this->timecodes,
                    'distances' => $this->distances,
                ],
                static fn (array $a): bool => $a !== [],
            )
            + (
                $this->lookLength === 0
                    ? []
                    : [
                        'looks' => base64_encode((string) gzdeflate($this->looks, 3)),
                        'look_length' => $this->lookLength,
                    ]
            );
    }

    /** @return array<string, mixed> the same, and what only a scan under way needs */
    public function checkpoint(): array
    {
        return $this->toArray() + ['identities' => base64_encode((string) gzdeflate($this->identities, 3))];
    }

    /** @param  array{folder: string, literals: list<string>, first: list<string>, count: int, columns: list<string>, digits: list<string>, sizes: string, times: string, facts: string, refused: array<int, string>, identities?: string, unlooked?: array<int, string>, looks?: string, look_length?: int, other_frame?: array<int, int>, timecodes?: array<int, string>, distances?: array<int, array{int|null, int, string}|null>}  $data */
    public static function fromArray(array $data): self
    {
        $raw = static fn (string $text): string => (string) base64_decode($text, true);
        $packed = static fn (string $text): string => (string) gzinflate($raw($text));
        $group = new self($raw($data['folder']), array_map($raw, $data['literals']), $data['first']);
        $group->count = $data['count'];
        $group->columns = array_map($packed, $data['columns']);
        $group->digits = array_map($packed, $data['digits']);
        [$group->sizes, $group->times, $group->facts] = [
            $packed($data['sizes']),
            $packed($data['times']),
            $packed($data['facts']),
        ];
        [$group->refused, $group->unlooked] = [$data['refused'], $data['unlooked'] ?? []];
        $group->identities = isset($data['identities']) ? $packed($data['identities']) : '';
        [$group->otherFrame, $group->timecodes, $group->distances] = [
            $data['other_frame'] ?? [],
            $data['timecodes'] ?? [],
            $data['distances'] ?? [],
        ];
        [$group->looks, $group->lookLength] = isset($data['looks'])
            ? [$packed($data['looks']), $data['look_length'] ?? 0]
            : ['', 0];

        return $group;
    }
}
