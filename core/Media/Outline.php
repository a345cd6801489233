<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/**
 * What lies within a surround of one colour, as a rectangle, taken from lines of pixels as they come. It counts only
 * where all four of its edges are filled: what is rendered of a region is; a title, or a thing in the middle of
 * nothing, is not.
 */
final class Outline
{
    private ?string $ground = null;

    private int $y = 0;

    private ?int $top = null;

    private int $bottom = 0;

    private int $left = PHP_INT_MAX;

    private int $right = -1;

    /** Of the first and the last line: how many pixels are of the surround's colour within it. */
    private int $holesAtTop = 0;

    private int $holesAtBottom = 0;

    /** @var array<int, int> lines by the column they begin at, likewise where they end */
    private array $begins = [];

    /** @var array<int, int> */
    private array $ends = [];

    public function __construct(private readonly int $width, private readonly int $height) {}

    /** @param  string  $bytes  whole lines, three bytes a pixel */
    public function add(string $bytes): void
    {
        $length = 3 * $this->width;
        for ($at = 0, $many = strlen($bytes); $length > 0 && $at + $length <= $many; $at += $length) {
            $this->line(substr($bytes, $at, $length));
        }
    }

    private function line(string $line): void
    {
        $this->ground ??= str_repeat(substr($line, 0, 3), $this->width);
        $differs = $line ^ $this->ground;
        $lead = strspn($differs, "\0");
        if ($lead < strlen($differs)) {
            [$from, $to] = [intdiv($lead, 3), intdiv(strlen(rtrim($differs, "\0")) - 1, 3)];
            $holes = substr_count(substr($differs, 3 * $from, 3 * ($to - $from + 1)), "\0\0\0");
            if ($this->top === null) {
                [$this->top, $this->holesAtTop] = [$this->y, $holes];
            }
            [$this->bottom, $this->holesAtBottom] = [$this->y, $holes];
            [$this->left, $this->right] = [min($this->left, $from), max($this->right, $to)];
            $this->begins[$from] = ($this->begins[$from] ?? 0) + 1;
            $this->ends[$to] = ($this->ends[$to] ?? 0) + 1;
        }
        $this->y++;
    }

    /** @return array{int, int, int, int}|null left, top, width and height */
    public function box(): ?array
    {
        if ($this->top === null) {
            return null;
        }
        [$width, $height] = [$this->right - $this->left + 1, $this->bottom - $this->top + 1];
        if ($width === $this->width && $height === $this->height) {
            return null;
        }
        $filled = 20 * ($this->begins[$this->left] ?? 0) >= 19 * $height
            && 20 * ($this->ends[$this->right] ?? 0) >= 19 * $height
            && 20 * $this->holesAtTop <= $width && 20 * $this->holesAtBottom <= $width;

        return $filled ? [$this->left, $this->top, $width, $height] : null;
    }

    /** How many sides of a picture an outline leaves empty. */
    public static function emptySides(
        int $left,
        int $top,
        int $width,
        int $height,
        int $pictureWidth,
        int $pictureHeight,
    ): int {
        return (int) ($left > 0)
            + (int) ($top > 0)
            + (int) ($left + $width < $pictureWidth)
            + (int) ($top + $height < $pictureHeight);
    }
}
