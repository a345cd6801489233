<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;

/** A small production to look around in: one shot that is right, one cut short, one too small, one still owed. */
final readonly class Sample
{
    /**
     * @param  string  $code  of the production
     * @param  string  $folder  below the intake, where its files go
     * @return array{code: string, name: string, kind: string, house: array<string, mixed>,
     *   roots: array<string, string>, members: array<string, string>,
     *   specifications: array<string, array<string, mixed>>, deliverables: list<array<string, mixed>>}
     */
    public static function plan(string $code, string $folder): array
    {
        return [
            'code' => $code, 'name' => 'A sample production', 'kind' => 'film',
            'house' => ['require' => [RequirementId::TIME_RATE => '24']],
            'roots' => ['Shots' => "{$folder}/{shot}"],
            'members' => ['coordinator' => 'coordinator'],
            'specifications' => ['Sample frames' => [
                'delivers' => 'frames',
                'require' => [
                    RequirementId::PICTURE_RESOLUTION => '320x134',
                    RequirementId::TIME_RANGE => '1001-1024',
                    RequirementId::FORMAT_KIND => 'png',
                    RequirementId::NAMING_PATTERN => '{shot}.{frame:4}.{ext}',
                    RequirementId::CONTENT_WHOLE => 'yes',
                    RequirementId::DELIVERY_EXTRAS => 'none',
                ],
            ]],
            'deliverables' => [
                self::shot('BOAT_010', 'the boat comes in', 30, new Mistakes),
                self::shot('BOAT_020', 'the rope', 30, new Mistakes(render: FrameRange::of(1001, 1016))),
                self::shot('BOAT_030', 'the gulls', 54, new Mistakes(size: [160, 67])),
                self::shot('BOAT_040', 'the quay at night', 78, null),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function shot(string $code, string $title, int $due, ?Mistakes $mistakes): array
    {
        return [
            'code' => $code, 'title' => $title, 'owner' => 'coordinator', 'due' => $due,
            'specification' => 'Sample frames', 'require' => [], 'scene' => null, 'mistakes' => $mistakes,
            'render' => [
                RequirementId::PICTURE_RESOLUTION => '320x134',
                RequirementId::TIME_RANGE => '1001-1024',
                RequirementId::FORMAT_KIND => 'png',
                RequirementId::NAMING_PATTERN => "{$code}.{frame:4}.png",
            ],
        ];
    }
}
