<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Catalogue;

use PlainLedger\Core\Specification\Accepts;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Wording;

/** What can be asked of a delivery as a whole. */
final readonly class DeliveryRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::DELIVERY_EXTRAS,
                Group::Delivery,
                'Nothing left over',
                ValueType::Word,
                [ReadFrom::Delivery],
                new Wording(
                    'Files that nothing asks for: %s.',
                    also: 'left over, stray files, clean folder, junk',
                    exact: ['none' => 'Nothing is delivered that is not asked.'],
                ),
                new Accepts('none', words: ['none']),
            ),
            new Descriptor(
                RequirementId::DELIVERY_TOTAL_SIZE,
                Group::Delivery,
                'Size in all',
                ValueType::ByteSize,
                [ReadFrom::Delivery],
                new Wording('All of it has %s.', also: 'whole size, disk space, gigabytes, upload limit'),
                new Accepts('4 GB', bounds: true, plain: 'max'),
            ),
            new Descriptor(
                RequirementId::DELIVERY_CHECKSUMS,
                Group::Delivery,
                'Checksum list',
                ValueType::Word,
                [ReadFrom::Delivery],
                new Wording(
                    'A checksum list is %s.',
                    also: 'md5, sha256, hash, mhl, verify',
                    exact: ['present' => 'A checksum list lies beside the files and agrees with them.'],
                ),
                new Accepts('present', words: ['present']),
            ),
        ];
    }
}
