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

/** What can be asked of names, folders and passes. */
final readonly class NamingRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::NAMING_PATTERN,
                Group::Naming,
                'File names',
                ValueType::Pattern,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Files are named %s.',
                    also: 'file name, filename, name template, numbering, padding, digits, version',
                ),
                new Accepts('{shot}_v{version:3}.{frame:4}.{ext}'),
            ),
            new Descriptor(
                RequirementId::NAMING_FOLDER,
                Group::Naming,
                'Folder',
                ValueType::Pattern,
                [ReadFrom::Scene, ReadFrom::Delivery],
                new Wording(
                    'They lie in the folder %s.',
                    also: 'directory, path, folder tree, where the files lie',
                    exact: ['.' => 'They lie at the root of the delivery.'],
                ),
                new Accepts('{shot}'),
            ),
            new Descriptor(
                RequirementId::PASSES,
                Group::Naming,
                'Passes',
                ValueType::Passes,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Delivery],
                new Wording(
                    'The passes are %s.',
                    also: 'layers, aovs, render elements, beauty, mask, depth, mist, render layers',
                ),
                new Accepts('beauty, mist'),
            ),
            new Descriptor(
                RequirementId::BURN_IN,
                Group::Naming,
                'Burn-in',
                ValueType::Text,
                [ReadFrom::Scene],
                new Wording(
                    'Burnt in: %s.',
                    also: 'slate, stamp, overlay text, watermark, metadata on picture',
                    exact: ['none' => 'Nothing is burnt into the picture.'],
                ),
                new Accepts('none', several: true),
            ),
        ];
    }
}
