<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** The rooms of the core in their order: each uses those before it, and none after. */
final readonly class Rooms
{
    public const ORDER = [
        'Text', 'Json', 'Tabular', 'Measure', 'Media', 'Checksums', 'Naming', 'Specification', 'Scene', 'Delivery',
        'Sealing', 'Matching', 'Checking',
        'Diagnosis', 'Remedy', 'RenderPlanning', 'RenderLog', 'Proposal', 'Shotlist', 'Recognition', 'Assembly',
        'Messages', 'Report',
        'Calculator', 'Tree', 'Submission', 'Practice', 'Course',
    ];

    /** @return list<string> the rooms that one may use, itself last */
    public static function upTo(string $room): array
    {
        return array_slice(self::ORDER, 0, (int) array_search($room, self::ORDER, true) + 1);
    }
}
