<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Text\Text;

/** One piece of work. */
final readonly class Fix
{
    /** Ranges and names longer than this are cut short in sentences; the details have them whole. */
    private const LONG = 90;

    /**
     * @param  array<string, string|int>  $details  what the kind needs: id, from, to, frames, count, shift, pass
     */
    private function __construct(
        public FixKind $kind,
        public string $part,
        public array $details,
        public string $says,
        private ?FrameRange $frames = null,
        private string $label = '',
    ) {}

    /** @param  string|null  $says  where setting is not the word for it */
    public static function set(
        string $part,
        string $id,
        string $label,
        ?string $from,
        string $to,
        ?string $says = null,
    ): self {
        $says ??= "Set {$label} to "
            .self::brief($to)
            .($from === null || $from === '' || $from === $to ? '.' : '; it is '.self::brief($from).'.');

        return new self(FixKind::Set, $part, ['id' => $id, 'from' => $from ?? '', 'to' => $to], $says);
    }

    /** @param  string|null  $named  the name that is asked, where the files there have another */
    public static function render(string $part, FrameRange $frames, bool $again, ?string $named = null): self
    {
        $what = 'Render '
            .self::brief((string) $frames)
            .($again ? ' again' : '')
            .', '
            .Text::count(count($frames), 'frame')
            .($named === null ? '' : ', named '.self::brief($named))
            .'.';

        return new self(FixKind::Render, $part, ['frames' => (string) $frames, 'count' => count($frames)], $what);
    }

    /** A picture without a number. */
    public static function renderPicture(string $part, bool $again): self
    {
        return new self(
            FixKind::Render,
            $part,
            ['frames' => '', 'count' => 1],
            $again ? 'Render the picture again.' : 'Render the picture.',
        );
    }

    /** @param  int  $shift what is added to each number */
    public static function rename(string $part, string $from, string $to, ?FrameRange $frames, int $shift = 0): self
    {
        $from = Text::shown($from);
        $details = [
            'from' => $from,
            'to' => $to,
            'frames' => (string) $frames,
            'count' => $frames === null ? 1 : count($frames),
        ];
        $moved = $shift === 0 ? '.' : ', each number '.($shift > 0 ? 'raised' : 'lowered').' by '.abs($shift).'.';
        $says = 'Rename '.($frames === null ? '' : Text::count(count($frames), 'file').': ')."{$from} to {$to}{$moved}";

        return new self(
            FixKind::Rename,
            $part,
            $shift === 0 ? $details : $details + ['shift' => $shift],
            $says,
            $frames,
        );
    }

    /** @param  string  $files  their names, as they are once they are right */
    public static function move(string $part, string $from, string $to, string $files, ?FrameRange $frames): self
    {
        $from = Text::shown($from);
        $details = [
            'from' => $from,
            'to' => $to,
            'files' => $files,
            'frames' => (string) $frames,
            'count' => $frames === null ? 1 : count($frames),
        ];
        $place = static fn (string $folder): string => $folder === '.' ? 'the delivery’s root' : "“{$folder}”";

        return new self(
            FixKind::Move,
            $part,
            $details,
            'Move '.Text::count((int) $details['count'], 'file')." from {$place($from)} to {$place($to)}.",
            $frames,
        );
    }

    /** What a header tells is written anew; the pictures stay as they are. */
    public static function retag(
        string $part,
        string $id,
        string $label,
        string $from,
        string $to,
        ?FrameRange $frames = null,
    ): self {
        $details = ['id' => $id, 'from' => $from, 'to' => $to] + self::which($frames);

        return new self(
            FixKind::Retag,
            $part,
            $details,
            "Write {$label} {$to} into ".self::files($frames).'; the pictures stay as they are.',
            $frames,
            $label,
        );
    }

    /**
     * The files are saved, or the movie encoded, once more; nothing that is asked was lost in them.
     *
     * @param  string|null  $says  where a movie is encoded, or made of its frames
     */
    public static function encode(
        string $part,
        string $id,
        string $label,
        string $from,
        string $to,
        ?FrameRange $frames = null,
        ?string $says = null,
    ): self {
        $details = ['id' => $id, 'from' => $from, 'to' => $to] + self::which($frames);

        return new self(
            FixKind::Encode,
            $part,
            $details,
            $says
                ?? 'Save '
                    .self::files($frames)
                    ." again with {$label} {$to} instead of {$from}; nothing has to be rendered.",
            $frames,
            $label,
        );
    }

    /**
     * The right files are somewhere else, and have to be handed in.
     *
     * @param  string  $insteadOf  what was handed in
     */
    public static function deliver(
        string $part,
        string $what,
        ?FrameRange $frames,
        string $says,
        string $insteadOf = '',
    ): self {
        return new self(FixKind::Deliver, $part, ['to' => $what] + self::which($frames), $says, $frames, $insteadOf);
    }

    public static function setAside(string $part, string $what, int $count, ?FrameRange $frames = null): self
    {
        $what = Text::shown($what);
        $says = $count === 1
            ? "Set {$what} aside."
            : "Set {$count} files aside: {$what}".($frames === null ? '' : ' '.self::brief((string) $frames)).'.';

        return new self(
            FixKind::SetAside,
            $part,
            ['from' => $what, 'count' => $count] + ($frames === null ? [] : ['frames' => (string) $frames]),
            $says,
        );
    }

    public static function wait(string $part, string $says): self
    {
        return new self(FixKind::Wait, $part, [], $says);
    }

    /** The same for one pass of several. */
    public function ofPass(?string $pass): self
    {
        if ($pass === null || isset($this->details['pass'])) {
            return $this;
        }

        return new self(
            $this->kind,
            $this->part,
            ['pass' => $pass] + $this->details,
            rtrim($this->says, '.')." (pass {$pass}).",
            $this->frames,
            $this->label,
        );
    }

    /**
     * The same for fewer frames, where it is about frames that other work replaces.
     *
     * @param  FrameRange  $present  of the pass it is taken from; a fix that is about others too keeps those
     * @param  int  $shift  what renaming has added to the numbers by then
     * @return self|null null where nothing is left to do
     */
    public function without(FrameRange $gone, FrameRange $present, int $shift = 0): ?self
    {
        $shift = in_array($this->kind, [FixKind::Rename, FixKind::Deliver], true) ? 0 : $shift;
        $touched = $this->frames !== null && (! $this->frames->and($gone)->isEmpty() || $shift !== 0);
        if ($this->frames === null || ! $touched || ! $this->isSparedByRender()) {
            return $this;
        }
        $left = $this->frames->minus($gone->and($present));

        return $left->isEmpty() ? null : $this->about($left->shifted($shift));
    }

    /** The same work on other frames. */
    private function about(FrameRange $left): self
    {
        [$from, $to, $id] = [$this->detail('from'), $this->detail('to'), $this->detail('id')];
        $says = 'Deliver '.self::brief($to).', '.self::brief((string) $left).", and not {$this->label}.";
        $fix = match ($this->kind) {
            FixKind::Rename => self::rename($this->part, $from, $to, $left, (int) ($this->details['shift'] ?? 0)),
            FixKind::Move => self::move($this->part, $from, $to, $this->detail('files'), $left),
            FixKind::Deliver => self::deliver($this->part, $to, $left, $says, $this->label),
            FixKind::Retag => self::retag($this->part, $id, $this->label, $from, $to, $left),
            default => self::encode($this->part, $id, $this->label, $from, $to, $left),
        };

        return $fix->ofPass(isset($this->details['pass']) ? $this->detail('pass') : null);
    }

    private function detail(string $name): string
    {
        return (string) ($this->details[$name] ?? '');
    }

    /** What is to be set for files that are rendered anyway, so that they need not be saved once more. */
    public function asSetting(): self
    {
        $pass = isset($this->details['pass']) ? $this->detail('pass') : null;

        return self::set($this->part, $this->detail('id'), $this->label, $this->detail('from'), $this->detail('to'))
            ->ofPass($pass);
    }

    /** Whether it is work on files that a render makes anew. */
    public function isSparedByRender(): bool
    {
        return in_array(
            $this->kind,
            [FixKind::Rename, FixKind::Move, FixKind::Retag, FixKind::Encode, FixKind::Deliver],
            true,
        );
    }

    /** Whether it is about single files, so that it differs from pass to pass by its names. */
    public function isAboutFiles(): bool
    {
        return in_array(
            $this->kind,
            [FixKind::Rename, FixKind::Move, FixKind::SetAside, FixKind::Deliver, FixKind::Render],
            true,
        )
            || (in_array($this->kind, [FixKind::Retag, FixKind::Encode], true) && $this->frames !== null);
    }

    /** @return array{}|array{frames: string, count: int} */
    private static function which(?FrameRange $frames): array
    {
        return $frames === null ? [] : ['frames' => (string) $frames, 'count' => count($frames)];
    }

    private static function files(?FrameRange $frames): string
    {
        return $frames === null ? 'the file' : self::brief((string) $frames);
    }

    private static function brief(string $text): string
    {
        return mb_strimwidth($text, 0, self::LONG, '…');
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'part' => $this->part] + $this->details + ['says' => $this->says];
    }

    /**
     * @param  list<self>  $fixes
     * @return list<self>
     */
    public static function eachOnce(array $fixes): array
    {
        $once = [];
        foreach ($fixes as $fix) {
            $once[serialize($fix->toArray())] = $fix;
        }

        return array_values($once);
    }
}
