<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Proofs;

use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** A size cap that the asked bit rate breaks. */
final readonly class SizeAndRate implements Proof
{
    public function read(Specification $specification, Part $part): iterable
    {
        $cap = $part->find('format.file_size')->ask->max ?? $part->single('format.file_size');
        $ask = $part->find('format.bit_rate')?->ask;
        // where only a largest rate is asked, a smaller one will do
        $rate = $ask === null ? null : $ask->single() ?? $ask->min;
        $length = PartLength::leastSeconds($specification, $part);
        if ($cap === null || $rate === null || $length === null || $length[0]->isLessThanOrEqualTo(0)) {
            return;
        }
        $bytes = BitRate::of(max(1, (int) $rate))->bytesIn($length[0]);
        if ($bytes->bytes <= (int) $cap) {
            return;
        }
        $fits = BitRate::thatFits(ByteSize::of((int) $cap), $length[0]);
        yield Quarrel::between(['format.file_size', 'format.bit_rate', ...$length[1]], $part->name,
            'At '.BitRate::of(max(1, (int) $rate)).' for '.Fraction::decimal($length[0]).' s a file has '.$bytes.', and at most '.ByteSize::of((int) $cap).' are allowed.',
            ...($fits === null ? [] : [Offer::set('format.bit_rate', "at most {$fits->bits}", "Ask for at most {$fits}, which fits.")]), ...[Offer::set('format.file_size', "at most {$bytes->bytes}", "Allow {$bytes}.")]);
    }
}
