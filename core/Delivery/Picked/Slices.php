<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

/** What has come of files that lie elsewhere, while they are looked at. */
final class Slices
{
    /** @var array<int, array<int, string>> by file and offset */
    private array $slices = [];

    public function add(int $file, int $offset, string $bytes): void
    {
        $this->slices[$file][$offset] = $bytes;
    }

    /** @return array<int, string> by offset */
    public function of(int $file): array
    {
        return $this->slices[$file] ?? [];
    }

    public function forget(int $file): void
    {
        unset($this->slices[$file]);
    }

    /** All of them, one behind another. */
    public function pack(): string
    {
        $packed = '';
        foreach ($this->slices as $file => $slices) {
            foreach ($slices as $offset => $bytes) {
                $packed .= pack('PPP', $file, $offset, strlen($bytes)).$bytes;
            }
        }

        return $packed;
    }

    public static function unpack(string $packed): self
    {
        $slices = new self;
        for ($at = 0; $at + 24 <= strlen($packed); $at += 24 + $is['length']) {
            /** @var array{file: int, offset: int, length: int} $is */
            $is = unpack('Pfile/Poffset/Plength', $packed, $at);
            $slices->add($is['file'], $is['offset'], substr($packed, $at + 24, $is['length']));
        }

        return $slices;
    }
}
