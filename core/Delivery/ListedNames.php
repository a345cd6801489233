<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** The names of a folder, put together by what they share. */
final class ListedNames
{
    /** More groups than this are no sequences any more; further odd names are only counted as strays. */
    private const MOST_GROUPS = 20_000;

    /** What a thousand megabytes hold when they are compared. */
    private const MOST_FILES = 2_000_000;

    /** Odd names are kept one by one. */
    private const MOST_ODD = 500_000;

    /** Where pixels are sampled, what is found is kept of each. */
    private const MOST_SAMPLED = 100_000;

    private const NOBODYS = ['.ds_store' => 1, 'thumbs.db' => 1, 'desktop.ini' => 1];

    /** @var array<array-key, NameGroup> */
    private array $groups = [];

    /** The one that took the file before: mostly it takes the next one too. */
    private ?NameGroup $last = null;

    /** Names beyond the last group, each ended by a zero byte. */
    private string $odd = '';

    private int $odds = 0;

    private int $files = 0;

    public function add(ListedFile $file): void
    {
        if (isset(self::NOBODYS[strtolower($file->name)]) || str_starts_with($file->name, '._')) {
            return;
        }
        $this->files++;
        if ($this->last?->takes($file) === true) {
            return;
        }
        $name = NumberedName::of($file->name);
        $key = $file->folder."\0".implode("\1", $name->literals);
        if (! isset($this->groups[$key]) && count($this->groups) >= self::MOST_GROUPS) {
            $this->odd .= $file->path()."\0";
            $this->odds++;
            $this->files--;

            return;
        }
        $this->last = $this->groups[$key] ??= NameGroup::begin($file->folder, $name);
        $this->last->add($name->numbers, $file);
    }

    /** Why these are more than can be compared at once; null where they are not. */
    public function tooMany(bool $sampled): ?string
    {
        return match (true) {
            $this->files > self::MOST_FILES => number_format(self::MOST_FILES).' files, more than are compared at once',
            $this->odds > self::MOST_ODD => number_format(self::MOST_ODD)
                .' files that belong to no sequence, more than are told apart',
            $sampled && $this->files > self::MOST_SAMPLED => number_format(self::MOST_SAMPLED)
                .' files, and their pixels are to be looked at',
            default => null,
        };
    }

    public function sort(): void
    {
        ksort($this->groups, SORT_STRING);
    }

    /** How many belong to a group. */
    public function files(): int
    {
        return $this->files;
    }

    /** @return list<NameGroup> */
    public function groups(): array
    {
        return array_values($this->groups);
    }

    /** @return list<string> paths of names beyond the last group */
    public function odd(): array
    {
        return $this->odd === '' ? [] : explode("\0", substr($this->odd, 0, -1));
    }

    /** @return array{files: int, groups: list<array<string, mixed>>, odd: string} plain values that JSON can hold */
    public function checkpoint(): array
    {
        return [
            'files' => $this->files,
            'groups' => array_map(static fn (NameGroup $group): array => $group->checkpoint(), $this->groups()),
            'odd' => base64_encode($this->odd),
        ];
    }

    /**
     * @param  array{files: int, odd: string, groups: list<array{folder: string, literals: list<string>,
     *   first: list<string>, count: int, columns: list<string>, digits: list<string>, sizes: string, times: string,
     *   facts: string, refused: array<int, string>, identities?: string, unlooked?: array<int, string>, looks?: string,
     *   look_length?: int, other_frame?: array<int, int>, timecodes?: array<int, string>,
     *   distances?: array<int, array{int|null, int, string}|null>}>} $checkpoint
     */
    public static function resume(array $checkpoint): self
    {
        $names = new self;
        $names->files = $checkpoint['files'];
        $names->groups = array_map(NameGroup::fromArray(...), $checkpoint['groups']);
        $names->odd = (string) base64_decode($checkpoint['odd'], true);

        return $names;
    }
}
