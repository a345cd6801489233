<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Values of blue, green and red added up over many pixels. */
final class ChannelSums
{
    /** @var array{int, int, int} */
    private array $sums = [0, 0, 0];

    /** @var array<int, array{string, string, string}> of each length of bytes, one mask a channel */
    private array $masks = [];

    /**
     * One byte of each three left standing: counting those is the quickest way to a sum.
     *
     * @param  string  $bytes  three a pixel
     */
    public function add(string $bytes): void
    {
        foreach ($this->masks(strlen($bytes)) as $channel => $mask) {
            foreach (count_chars($bytes & $mask, 1) as $value => $many) {
                $this->sums[$channel] += $value * $many;
            }
        }
    }

    /** @return array{int, int, int} */
    public function all(): array
    {
        return $this->sums;
    }

    /** @return array{string, string, string} */
    private function masks(int $length): array
    {
        $pixels = intdiv($length, 3);

        return $this->masks[$length] ??= [
            str_repeat("\xFF\0\0", $pixels),
            str_repeat("\0\xFF\0", $pixels),
            str_repeat("\0\0\xFF", $pixels),
        ];
    }
}
