<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

/** What a movie shows of the frames that it is made from, as far as its pictures were looked at. */
final readonly class SourceShown
{
    public const RIGHT = 'right';

    public const REVERSED = 'reversed';

    public const MIXED = 'mixed';

    public const OTHERS = 'others';

    private const IN_BROWSER = 'seen through a browser';

    /**
     * @param  int  $looked  pictures that were looked at
     * @param  string|null  $order  of this class's words; null where it could not be told
     * @param  int  $times  that each frame is shown in a row
     * @param  string  $frames  those that it shows, as a range
     * @param  string  $apart  pictures that are not the frame they should be, as a range, counted from 1
     * @param  string|null  $light  `brighter`, `darker` or `of more contrast` than the frames, throughout
     * @param  string|null  $why  how that was measured; else why nothing was looked at
     */
    public function __construct(
        public int $looked,
        public ?string $order,
        public int $times = 1,
        public string $frames = '',
        public string $apart = '',
        public ?string $light = null,
        public ?string $why = null,
    ) {}

    /**
     * The same, as a browser showed it: which colours it gives them is its own affair, so nothing is said of light.
     */
    public function throughBrowser(): self
    {
        return new self(
            $this->looked,
            $this->order,
            $this->times,
            $this->frames,
            $this->apart,
            null,
            $this->isSeen() ? self::IN_BROWSER : $this->why,
        );
    }

    /** Whether somebody's browser played it, and not this program unpacked it. */
    public function isThroughBrowser(): bool
    {
        return $this->why === self::IN_BROWSER;
    }

    public static function unseen(string $why): self
    {
        return new self(0, null, why: $why);
    }

    public function isSeen(): bool
    {
        return $this->order !== null;
    }

    /** Whether it shows each frame of a range once, in order, as it is. */
    public function isAsIs(string $frames): bool
    {
        return $this->order === self::RIGHT
            && $this->times === 1
            && $this->apart === ''
            && $this->light === null
            && $this->frames === $frames;
    }

    /** What it shows, in few words. */
    public function says(string $frames): string
    {
        $shows = $this->shows($frames);

        return $this->isThroughBrowser() ? "{$shows}, as a browser shows it" : $shows;
    }

    private function shows(string $frames): string
    {
        return match (true) {
            $this->order === self::REVERSED => 'in reverse order',
            $this->order === self::OTHERS => 'other pictures',
            $this->order === self::MIXED => "out of order at {$this->apart}",
            $this->times > 1 => "each {$this->times} times",
            $this->light !== null => "{$this->light} throughout",
            $this->frames !== $frames => "frames {$this->frames}",
            $this->apart !== '' => "some twice, at {$this->apart}",
            default => 'yes',
        };
    }

    /** @return array<string, mixed> as it is kept */
    public function toArray(): array
    {
        return [
            'looked' => $this->looked, 'order' => $this->order, 'times' => $this->times, 'frames' => $this->frames,
            'apart' => $this->apart, 'light' => $this->light, 'why' => $this->why,
        ];
    }

    /**
     * @param  array{looked: int, order: string|null, times: int, frames: string, apart: string, light: string|null,
     *   why: string|null}  $row
     */
    public static function fromArray(array $row): self
    {
        return new self(...$row);
    }
}
