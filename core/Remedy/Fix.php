<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\Text;

/** One piece of work. */
final readonly class Fix
{
    /**
     * @param  array<string, string|int>  $details  what the kind needs: id, from, to, frames, count, shift, files
     */
    private function __construct(public FixKind $kind, public string $part, public array $details, public string $says) {}

    /** @param  string|null  $says  where setting is not the word for it */
    public static function set(string $part, string $id, string $label, ?string $from, string $to, ?string $says = null): self
    {
        return new self(FixKind::Set, $part, ['id' => $id, 'from' => $from ?? '', 'to' => $to], $says ?? "Set {$label} to {$to}".($from === null || $from === '' ? '.' : "; it is {$from}."));
    }

    public static function render(string $part, ?string $pass, FrameRange $frames): self
    {
        return new self(FixKind::Render, $part, array_filter(['pass' => $pass], is_string(...)) + ['frames' => (string) $frames, 'count' => count($frames)],
            "Render {$frames}".($pass === null ? '' : " of {$pass}").', '.Text::count(count($frames), 'frame').'.');
    }

    /** A picture without a number. */
    public static function renderPicture(string $part): self
    {
        return new self(FixKind::Render, $part, ['frames' => '', 'count' => 1], 'Render the picture again.');
    }

    /** @param  int  $shift what is added to each number */
    public static function rename(string $part, string $from, string $to, ?FrameRange $frames, int $shift = 0): self
    {
        $from = Text::shown($from);
        $details = ['from' => $from, 'to' => $to, 'frames' => (string) $frames, 'count' => $frames === null ? 1 : count($frames)];

        return new self(FixKind::Rename, $part, $shift === 0 ? $details : $details + ['shift' => $shift],
            'Rename '.($frames === null ? '' : Text::count(count($frames), 'file').': ')."{$from} to {$to}".($shift === 0 ? '.' : ', each number '.($shift > 0 ? 'raised' : 'lowered').' by '.abs($shift).'.'));
    }

    public static function move(string $part, string $from, string $to, ?FrameRange $frames): self
    {
        $from = Text::shown($from);

        return new self(FixKind::Move, $part, ['from' => $from, 'to' => $to, 'frames' => (string) $frames, 'count' => $frames === null ? 1 : count($frames)], "Move the files from “{$from}” to “{$to}”.");
    }

    public static function retag(string $part, string $id, string $label, string $from, string $to): self
    {
        return new self(FixKind::Retag, $part, ['id' => $id, 'from' => $from, 'to' => $to], "Write {$label} {$to} into the files; the pictures stay as they are.");
    }

    public static function encode(string $part, string $id, string $label, string $from, string $to): self
    {
        return new self(FixKind::Encode, $part, ['id' => $id, 'from' => $from, 'to' => $to], "Save the files again with {$label} {$to} instead of {$from}; nothing has to be rendered.");
    }

    public static function setAside(string $part, string $what, int $count): self
    {
        $what = Text::shown($what);

        return new self(FixKind::SetAside, $part, ['from' => $what, 'count' => $count], $count === 1 ? "Set {$what} aside." : "Set {$count} files aside: {$what}.");
    }

    public static function wait(string $part, string $says): self
    {
        return new self(FixKind::Wait, $part, [], $says);
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'part' => $this->part] + $this->details + ['says' => $this->says];
    }
}
