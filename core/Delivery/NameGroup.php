<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;

/** Files of one folder whose names are the same but for their numbers. */
final class NameGroup
{
    /** Bytes of facts that are counted at once. */
    private const COUNTED = 16_384;

    private int $count = 0;

    /** @var array<int, NumberColumn> one for each number of the name */
    private array $columns;

    /**
     * @var array{string, string, list<string>}|null the newest name: before and after its last number, and its
     *   numbers
     */
    private ?array $newest = null;

    private string $sizes = '';

    private string $times = '';

    /** By which the listing knows its files again while they are looked through; not kept beyond. */
    private string $identities = '';

    private string $facts = '';

    private SampleColumn $samples;

    private FrameNotes $notes;

    /**
     * @param  list<string>  $literals  one more than there are numbers
     * @param  list<string>  $first  the numbers of the first file
     */
    private function __construct(
        public readonly string $folder,
        private readonly array $literals,
        private readonly array $first,
    ) {
        $this->columns = array_map(static fn (string $text): NumberColumn => new NumberColumn($text), $first);
        $this->samples = new SampleColumn;
        $this->notes = new FrameNotes;
    }

    public static function begin(string $folder, NumberedName $name): self
    {
        return new self($folder, $name->literals, $name->numbers);
    }

    /** Adds a file whose name is that of the one before but for its last number; without parting it anew. */
    public function takes(ListedFile $file): bool
    {
        $number = $this->lastNumberOf($file);
        if ($number === null) {
            return false;
        }
        [, , $numbers] = $this->newest ?? ['', '', []];
        $numbers[count($numbers) - 1] = $number;
        $this->append(array_values($numbers), $file);

        return true;
    }

    /** Null where anything else differs from the newest name, or there is none. */
    private function lastNumberOf(ListedFile $file): ?string
    {
        [$before, $after, $numbers] = $this->newest ?? ['', '', []];
        $digits = strlen($file->name) - strlen($before) - strlen($after);
        if ($numbers === [] || $digits < 1 || $digits > NumberedName::MOST_DIGITS) {
            return null;
        }
        $number = substr($file->name, strlen($before), $digits);
        $isAlike = $file->folder === $this->folder
            && str_starts_with($file->name, $before)
            && str_ends_with($file->name, $after);

        return $isAlike && ctype_digit($number) ? $number : null;
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
            $this->columns[$c]->add($text, $this->count);
        }
        $this->sizes .= pack('q', $file->size);
        $this->times .= pack('q', $file->modified);
        $this->identities .= pack('q', $file->identity);
        if ($file->refused !== null) {
            $this->notes->refuse($this->count, $file->refused);
        }
        $this->count++;
    }

    /**
     * Some of its files, in the order of their rows.
     *
     * @param  list<int>  $rows
     * @param  string  $folder  as it is called from where they are looked at
     */
    public function only(array $rows, string $folder): self
    {
        $some = new self($folder, $this->literals, $this->first);
        foreach ($rows as $row) {
            $numbers = array_map(fn (int $c): string => $this->numberText($c, $row), array_keys($this->first));
            $some->append($numbers, $this->listed($row));
            $some->facts .= pack('V', $this->factsId($row));
        }
        $some->notes = $this->notes->only($rows);
        $some->samples = $this->samples->only($rows);

        return $some;
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
        return $this->columns[$column]->varies();
    }

    /** By which it is known again in another scan of the same place. */
    public function key(): string
    {
        return $this->folder."\0".implode("\1", $this->literals);
    }

    /** @return list<string> all numbers of one name, zeros and signs included */
    public function numberTexts(int $row): array
    {
        return array_values(array_map(static fn (NumberColumn $column): string => $column->text($row), $this->columns));
    }

    /** The text of one number of one file, zeros and sign included. */
    public function numberText(int $column, int $row): string
    {
        return $this->columns[$column]->text($row);
    }

    public function number(int $column, int $row): int
    {
        return $this->columns[$column]->number($row);
    }

    /** One number of every file, by row. */
    public function numbers(int $column): IntColumn
    {
        return $this->columns[$column]->numbers($this->count);
    }

    /** How many digits every file writes this number with; null where they differ. */
    public function sharedDigits(int $column): ?int
    {
        return $this->columns[$column]->sharedDigits();
    }

    /** Sizes in bytes, by row. */
    public function sizes(): IntColumn
    {
        return IntColumn::ofPacked($this->sizes);
    }

    /** Seconds since 1970, by row. */
    public function times(): IntColumn
    {
        return IntColumn::ofPacked($this->times);
    }

    /** @return array<int, int> how many of its files each fact is of, by its id */
    public function factsCounts(): array
    {
        $counts = [];
        foreach ($this->facts === '' ? [] : str_split($this->facts, self::COUNTED) as $piece) {
            /** @var array<int, int> $ids */
            $ids = unpack('V*', $piece);
            foreach (array_count_values($ids) as $id => $files) {
                $counts[(int) $id] = ($counts[(int) $id] ?? 0) + $files;
            }
        }

        return $counts;
    }

    /** Ids of facts, by row. */
    public function factsIds(): IntColumn
    {
        return IntColumn::ofNarrow($this->facts);
    }

    public function name(int $row): string
    {
        $name = $this->literals[0];
        foreach ($this->columns as $c => $column) {
            $name .= $column->text($row).$this->literals[$c + 1];
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

    public function size(int $row): int
    {
        return PackedColumn::at($this->sizes, $row);
    }

    public function modified(int $row): int
    {
        return PackedColumn::at($this->times, $row);
    }

    /** As it was listed. */
    public function listed(int $row): ListedFile
    {
        $identity = $this->identities === '' ? 0 : PackedColumn::at($this->identities, $row);
        $refused = $this->notes->refused($row);

        return new ListedFile(
            $this->folder,
            $this->name($row),
            $this->size($row),
            $this->modified($row),
            $refused,
            $identity,
        );
    }

    /** A file that has been changed since, as it is now. */
    public function relist(int $row, ListedFile $file): void
    {
        $this->sizes = PackedColumn::put($this->sizes, $row, $file->size);
        $this->times = PackedColumn::put($this->times, $row, $file->modified);
        if ($this->identities !== '') {
            $this->identities = PackedColumn::put($this->identities, $row, $file->identity);
        }
        if ($file->refused !== null) {
            $this->notes->refuse($row, $file->refused);
        }
    }

    public function refused(int $row): ?string
    {
        return $this->notes->refused($row);
    }

    /** Facts come in the order of the rows. */
    public function addFacts(int $id, MediaFacts $facts): void
    {
        $row = intdiv(strlen($this->facts), 4);
        $this->facts .= pack('V', $id);
        [$frame, $timecode] = [$facts->timing->frameNumber, $facts->timing->timecode];
        if ($frame !== null && ! $this->hasNumber($row, $frame)) {
            $this->notes->setOtherFrame($row, $frame);
        }
        if ($timecode !== null) {
            $this->notes->setTimecode($row, $timecode);
        }
    }

    /** What was found out about a file after all were read. */
    public function putFacts(int $row, int $id): void
    {
        $this->facts = substr_replace($this->facts, pack('V', $id), 4 * $row, 4);
    }

    /**
     * With the facts of the same row, where pixels are sampled.
     *
     * @param  string|null  $tooLarge  why its pixels were not unpacked
     */
    public function addSample(string $packed, ?string $tooLarge): void
    {
        $this->samples->add($packed, $tooLarge);
    }

    /** Whether any number of the name is that, or ends in it. */
    public function hasNumber(int $row, int $number): bool
    {
        foreach ($this->columns as $column) {
            $text = $column->text($row);
            $endsInIt = $number >= 0 && strlen($text) > 4 && preg_match("~0*{$number}\$~", $text) === 1;
            if ($endsInIt || (int) $text === $number) {
                return true;
            }
        }

        return $this->columns === [];
    }

    /** The frame number in its header, where that is not the one in its name. */
    public function otherFrame(int $row): ?int
    {
        return $this->notes->otherFrame($row);
    }

    public function timecode(int $row): ?string
    {
        return $this->notes->timecode($row);
    }

    public function setDistance(int $row, ?PictureDistance $distance): void
    {
        $this->notes->setDistance($row, $distance);
    }

    /** False where it was not compared with any. */
    public function distance(int $row): PictureDistance|false|null
    {
        return $this->notes->distance($row);
    }

    public function hasSamples(): bool
    {
        return ! $this->samples->isEmpty();
    }

    /** Null where it could not be sampled, or was not asked to be. */
    public function sample(int $row): ?PixelSample
    {
        return $this->samples->at($row);
    }

    /** Why its pixels were not unpacked, where they were too many. */
    public function unsampledReason(int $row): ?string
    {
        return $this->samples->reason($row);
    }

    /** Of how many files, from the first on, the facts are known. */
    public function factsCount(): int
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
        $columns = array_map(static fn (NumberColumn $column): array => $column->keep(), array_values($this->columns));

        return [
            'folder' => base64_encode($this->folder),
            'literals' => array_map(base64_encode(...), $this->literals),
            'first' => $this->first,
            'count' => $this->count,
            'columns' => array_column($columns, 0),
            'digits' => array_column($columns, 1),
            'sizes' => PackedColumn::keep($this->sizes),
            'times' => PackedColumn::keep($this->times),
            'facts' => PackedColumn::keep($this->facts),
        ] + $this->notes->toArray() + $this->samples->toArray();
    }

    /** @return array<string, mixed> the same, and what only a scan under way needs */
    public function checkpoint(): array
    {
        return $this->toArray() + ['identities' => PackedColumn::keep($this->identities)];
    }

    /**
     * @param  array{folder: string, literals: list<string>, first: list<string>, count: int, columns: list<string>,
     *   digits: list<string>, sizes: string, times: string, facts: string, refused: array<int, string>,
     *   identities?: string, unlooked?: array<int, string>, looks?: string, look_length?: int,
     *   other_frame?: array<int, int>, timecodes?: array<int, string>,
     *   distances?: array<int, array{int|null, int, string}|null>} $data
     */
    public static function fromArray(array $data): self
    {
        $raw = static fn (string $text): string => (string) base64_decode($text, true);
        $group = new self($raw($data['folder']), array_map($raw, $data['literals']), $data['first']);
        $group->count = $data['count'];
        $group->columns = array_map(NumberColumn::kept(...), $data['first'], $data['columns'], $data['digits']);
        $group->sizes = PackedColumn::kept($data['sizes']);
        $group->times = PackedColumn::kept($data['times']);
        $group->facts = PackedColumn::kept($data['facts']);
        $group->identities = isset($data['identities']) ? PackedColumn::kept($data['identities']) : '';
        $group->notes = FrameNotes::fromArray($data);
        $group->samples = SampleColumn::fromArray($data);

        return $group;
    }
}
