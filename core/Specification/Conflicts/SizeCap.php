<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use Brick\Math\BigRational;
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
    private const CAPS = [
        RequirementId::FORMAT_FILE_SIZE => 'a file has',
        RequirementId::DELIVERY_TOTAL_SIZE => 'all of it has',
    ];

    public function read(Specification $specification, Part $part): iterable
    {
        $asked = $part->find(RequirementId::FORMAT_BIT_RATE)?->value;
        // where only a largest rate is asked, a smaller one will do
        $rate = $asked === null ? null : $asked->single() ?? $asked->min;
        $length = PartLength::leastSeconds($specification, $part);
        if ($rate === null || $length === null || $length[0]->isLessThanOrEqualTo(0)) {
            return;
        }
        $rate = BitRate::of(max(1, (int) $rate));
        foreach (self::CAPS as $id => $has) {
            $cap = $part->find($id)->value->max ?? null;
            if ($cap !== null && $rate->bytesIn($length[0])->bytes > (int) $cap) {
                yield $this->over($part, $id, $has, ByteSize::of((int) $cap), $rate, $length);

                return;
            }
        }
    }

    /** @param  array{BigRational, list<string>}  $length  seconds, and the ids they follow from */
    private function over(Part $part, string $id, string $has, ByteSize $cap, BitRate $rate, array $length): Conflict
    {
        [$seconds, $ids] = $length;
        $bytes = $rate->bytesIn($seconds);
        $fits = BitRate::thatFits($cap, $seconds);
        $smaller = $fits === null ? [] : [
            ConflictResolution::set(
                RequirementId::FORMAT_BIT_RATE,
                "at most {$fits->bits}",
                "Ask for at most {$fits}, which fits.",
            ),
        ];

        return Conflict::between(
            [$id, RequirementId::FORMAT_BIT_RATE, ...$ids],
            $part->name,
            "At {$rate} for ".Fraction::decimal($seconds)." s {$has} {$bytes}, and at most {$cap} are allowed.",
            ...[...$smaller, ConflictResolution::set($id, "at most {$bytes->bytes}", "Allow {$bytes}.")],
        );
    }
}
