<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** Stretches of a header that facts are made of. */
final readonly class FixedBytes
{
    /** @param  list<array{int, string, int}>  $stretches  place, bytes and their count */
    private function __construct(private array $stretches) {}

    /**
     * @param  list<array{int, int}>  $without  places and lengths of what may differ, in their order
     * @param  int  $end  of what is compared
     */
    public static function of(string $bytes, int $end, array $without): self
    {
        $stretches = [];
        $at = 0;
        foreach ([...$without, [$end, 0]] as [$place, $length]) {
            if ($place > $at) {
                $stretches[] = [$at, substr($bytes, $at, $place - $at), $place - $at];
            }
            $at = max($at, $place + $length);
        }

        return new self($stretches);
    }

    public function areIn(string $bytes): bool
    {
        $length = strlen($bytes);
        foreach ($this->stretches as [$at, $own, $count]) {
            if ($at + $count > $length || substr_compare($bytes, $own, $at, $count) !== 0) {
                return false;
            }
        }

        return true;
    }
}
