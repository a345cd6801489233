<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Catalogue\ColourRequirements;
use PlainLedger\Core\Specification\Catalogue\ContentRequirements;
use PlainLedger\Core\Specification\Catalogue\DeliveryRequirements;
use PlainLedger\Core\Specification\Catalogue\FormatRequirements;
use PlainLedger\Core\Specification\Catalogue\NamingRequirements;
use PlainLedger\Core\Specification\Catalogue\PictureRequirements;
use PlainLedger\Core\Specification\Catalogue\SceneRequirements;
use PlainLedger\Core\Specification\Catalogue\SoundRequirements;
use PlainLedger\Core\Specification\Catalogue\TimeRequirements;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementId;

/** The groups of what can be asked, beside the constants that name each of them. */
final class CatalogueTest extends TestCase
{
    public function test_every_group_brings_requirements_that_no_other_has_and_a_constant_names(): void
    {
        $groups = [
            PictureRequirements::all(), TimeRequirements::all(), SceneRequirements::all(), FormatRequirements::all(),
            ColourRequirements::all(), SoundRequirements::all(), NamingRequirements::all(), ContentRequirements::all(),
            DeliveryRequirements::all(),
        ];
        $ids = array_map(static fn (Descriptor $descriptor): string => $descriptor->id, array_merge(...$groups));
        self::assertSame($ids, array_values(array_unique($ids)));
        $named = array_values((new \ReflectionClass(RequirementId::class))->getConstants());
        self::assertSame([], array_diff($ids, $named), 'without a constant');
        self::assertSame(
            $ids,
            array_map(static fn (Descriptor $descriptor): string => $descriptor->id, Catalogue::standard()->all()),
        );
    }
}
