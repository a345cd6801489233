<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\FileDamaged;

/** A window of an OpenEXR picture, in pixels, its right and bottom included. */
final readonly class ExrWindow
{
    private function __construct(public int $left, public int $top, private int $right, private int $bottom) {}

    /**
     * @param  string  $bytes  a `box2i`
     *
     * @throws FileDamaged
     */
    public static function read(string $bytes, string $what): self
    {
        if (strlen($bytes) < 16) {
            throw FileDamaged::header("the {$what} breaks off");
        }
        $window = new self(...array_map(static fn (int $at): int => ExrHeader::int($bytes, $at), [0, 4, 8, 12]));
        if (! self::isPossible($window->width()) || ! self::isPossible($window->height())) {
            throw FileDamaged::header("the {$what} is impossible");
        }

        return $window;
    }

    private static function isPossible(int $side): bool
    {
        return $side >= 1 && $side <= Resolution::LARGEST;
    }

    public function width(): int
    {
        return $this->right - $this->left + 1;
    }

    public function height(): int
    {
        return $this->bottom - $this->top + 1;
    }

    /** This window as a region of another: `full` where it covers it, else `x,y,width,height` from its corner. */
    public function regionOf(self $display): string
    {
        $covers = $this->left <= $display->left
            && $this->top <= $display->top
            && $this->right >= $display->right
            && $this->bottom >= $display->bottom;
        if ($covers) {
            return 'full';
        }
        [$x, $y] = [$this->left - $display->left, $this->top - $display->top];

        return "{$x},{$y},{$this->width()},{$this->height()}";
    }
}
