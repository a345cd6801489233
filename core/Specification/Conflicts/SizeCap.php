<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** A size cap, of a file or of all of it, that the asked bit rate breaks. */
final readonly class SizeCap implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $ask = $part->find(RequirementId::FORMAT_BIT_RATE)?->value;
        // where only a largest rate is asked, a smaller one will do
        $rate = $ask === null ? null : $ask->single() ?? $ask->min;
        $length = PartLength::leastSeconds($specification, $part);
        if ($rate === null || $length === null || $length[0]->isLessThanOrEqualTo(0)) {
            return;
        }
        $rate = BitRate::of(max(1, (int) $rate));
        $bytes = $rate->bytesIn($length[0]);
        foreach ([
            RequirementId::FORMAT_FILE_SIZE => 'a file has',
            RequirementId::DELIVERY_TOTAL_SIZE => 'all of it has',
        ] as $id => $has) {
            $cap = $part->find($id)->value->max ?? null;
            if ($cap === null || $bytes->bytes <= (int) $cap) {
                continue;
            }
            $fits = BitRate::thatFits(ByteSize::of((int) $cap), $length[0]);
            yield Conflict::between([$id, RequirementId::FORMAT_BIT_RATE, ...$length[1]], $part->name,
                "At {$rate} for "
                    .Fraction::decimal($length[0])
                    ." s {$has} {$bytes}, and at most "
                    .ByteSize::of((int) $cap)
                    .' are allowed.',
                ...($fits === null ? [] : [ConflictResolution::set(RequirementId::FORMAT_BIT_RATE, "at most {$fits->bits}", "Ask for at most {$fits}, which fits.")]), ...[ConflictResolution::set($id, "at most {$bytes->bytes}", "Allow {$bytes}.")]);

            return;
        }
    }
}
