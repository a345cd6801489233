<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Measure\FrameRange;

/** What has become of the files of one sequence, or of one file, between two deliveries; by size and time. */
final readonly class FileChanges
{
    /**
     * @param  string  $pattern  the name, `#` for each digit of the frame number
     * @param  FrameRange|null  $same  files that neither grew nor were written anew; null of a file without a number
     */
    private function __construct(
        public string $folder,
        public string $pattern,
        public ?FrameRange $same,
        public ?FrameRange $changed,
        public ?FrameRange $come,
        public ?FrameRange $gone,
        public string $word,
    ) {}

    /**
     * Of each sequence and file that lies in either, by folder and pattern.
     *
     * @return list<self>
     */
    public static function between(Delivery $now, Delivery $before): array
    {
        [$new, $old] = [self::sequences($now), self::sequences($before)];
        $changes = [];
        foreach ($new + $old as $place => $_) {
            $changes[$place] = self::of($new[$place] ?? null, $old[$place] ?? null);
        }
        ksort($changes, SORT_STRING);

        return array_values($changes);
    }

    /** @return array<string, Sequence> by place */
    private static function sequences(Delivery $delivery): array
    {
        $sequences = [];
        foreach ($delivery->groups as $group) {
            foreach (Sequence::of($group, $group->count() > 1 ? Sequence::likelyColumn($group) : null) as $sequence) {
                $sequences["{$sequence->folder()}/{$sequence->pattern()}"] = $sequence;
            }
        }

        return $sequences;
    }

    private static function of(?Sequence $new, ?Sequence $old): self
    {
        $any = $new ?? $old ?? throw new \LogicException('One of them is there.');

        return $any->column === null
            ? new self($any->folder(), $any->pattern(), null, null, null, null, self::word($new, $old))
            : self::ofFrames($any, $new, $old);
    }

    /** What has become of a file without a number. */
    private static function word(?Sequence $new, ?Sequence $old): string
    {
        return match (true) {
            $new === null => 'gone',
            $old === null => 'come',
            default => self::state($new, 0) === self::state($old, 0) ? 'same' : 'changed',
        };
    }

    private static function ofFrames(Sequence $any, ?Sequence $new, ?Sequence $old): self
    {
        $earlier = $old === null ? [] : self::states($old);
        $both = array_intersect_key($new === null ? [] : self::states($new), $earlier);
        $isSame = static fn (string $is, int $number): bool => $earlier[$number] === $is;
        $same = array_filter($both, $isSame, ARRAY_FILTER_USE_BOTH);
        [$there, $was] = [$new->frames ?? FrameRange::none(), $old->frames ?? FrameRange::none()];

        return new self(
            $any->folder(),
            $any->pattern(),
            FrameRange::fromNumbers(array_keys($same)),
            FrameRange::fromNumbers(array_keys(array_diff_key($both, $same))),
            $there->minus($was),
            $was->minus($there),
            '',
        );
    }

    /** @return array<int, string> sizes and times by frame */
    private static function states(Sequence $sequence): array
    {
        $states = [];
        foreach ($sequence->numbers as $i => $number) {
            $states[$number] = self::state($sequence, $i);
        }

        return $states;
    }

    private static function state(Sequence $sequence, int $place): string
    {
        $row = $sequence->rows[$place];

        return pack('qq', $sequence->group->size($row), $sequence->group->modified($row));
    }

    /** @return array{folder: string, pattern: string, same: string, changed: string, come: string, gone: string,
     *   file: string} ranges as texts; `file`: what became of a file without a number
     */
    public function toArray(): array
    {
        return [
            'folder' => $this->folder, 'pattern' => $this->pattern, 'same' => (string) $this->same,
            'changed' => (string) $this->changed, 'come' => (string) $this->come, 'gone' => (string) $this->gone,
            'file' => $this->word,
        ];
    }
}
