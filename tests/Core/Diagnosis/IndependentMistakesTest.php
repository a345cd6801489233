<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Workbench;

/**
 * Every mistake together with every mistake of another family: both are told, each explains its own, neither hides the
 * other.
 */
final class IndependentMistakesTest extends TestCase
{
    /** What each choice changes in the plan of a delivery, and the cause it must be told by. */
    private const FAMILIES = [
        'size' => [
            'half' => [['size' => [32, 18]], 'scale-below-full'],
            'swapped' => [['size' => [36, 64]], 'sides-swapped'],
            'other shape' => [['size' => [64, 48]], 'wrong-shape'],
        ],
        'frames' => [
            'stopped' => [['range' => '1001-1013'], 'render-stopped'],
            'dropped' => [['range' => '1001-1007,1010-1020'], 'frames-dropped'],
            'last left out' => [['range' => '1001-1019'], 'last-frame-left-out'],
            'every second' => [['range' => '1001-1019x2'], 'step-left-on'],
            'from one' => [['range' => '1-20'], 'numbered-from-elsewhere'],
        ],
        'number' => [
            'six digits' => [['digits' => '%06d'], 'too-many-digits'],
        ],
        'shot' => [
            'dash' => [['shot' => 'TC-010'], 'separator-differs'],
            'lower case' => [['shot' => 'tc_010'], 'case-differs'],
            'misspelled' => [['shot' => 'TC_O10'], 'value-misspelled'],
            'space' => [['shot' => 'TC 010'], 'spaces-inside'],
        ],
        'version' => [
            'older' => [['version' => 'v002'], 'wrong-version'],
        ],
        'extension' => [
            'upper case' => [['extension' => 'PNG'], 'extension-spelled-otherwise'],
        ],
        'depth' => [
            'eight bits' => [['bits' => 8], 'depth-dropped'],
        ],
        'alpha' => [
            'not saved' => [['channels' => 'RGB'], 'alpha-not-saved'],
        ],
        'pixels' => [
            'not square' => [['density' => [10, 11]], 'pixel-aspect-differs'],
        ],
        'strays' => [
            'a note' => [['stray' => 'notes.txt'], 'leftovers'],
        ],
        'damage' => [
            'one empty' => [['empty' => true], 'empty-file'],
        ],
    ];

    private const PLAN = [
        'size' => [64, 36], 'range' => '1001-1020', 'digits' => '%04d', 'shot' => 'TC_010', 'version' => 'v003',
        'extension' => 'png',
        'bits' => 16, 'channels' => 'RGBA', 'density' => null, 'stray' => null, 'empty' => false,
    ];

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function pairs(): iterable
    {
        $all = [];
        foreach (self::FAMILIES as $family => $choices) {
            foreach ($choices as $name => [$change, $cause]) {
                $all[] = [$family, $name, $change, $cause];
                yield "{$family}: {$name}" => [$change, [$cause]];
            }
        }
        foreach ($all as $i => [$familyA, $a, $changeA, $causeA]) {
            foreach (array_slice($all, $i + 1) as [$familyB, $b, $changeB, $causeB]) {
                $causeA = $all[$i][3];
                if ($familyA !== $familyB) {
                    // with something damaged, a missing end is no slip of the range any more
                    $causeA = $a === 'last left out' && $familyB === 'damage' ? 'render-stopped' : $causeA;
                    yield "{$familyA}: {$a} and {$familyB}: {$b}" => [$changeA + $changeB, [$causeA, $causeB]];
                }
            }
        }
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<string>  $causes
     */
    #[DataProvider('pairs')]
    public function test_both_are_told(array $changes, array $causes): void
    {
        $plan = $changes + self::PLAN;
        [$width, $height] = $plan['size'];
        $bench = new Workbench;
        $name = "{$plan['shot']}_light_{$plan['version']}.{$plan['digits']}.{$plan['extension']}";
        $bench->frames(
            $name,
            $plan['range'],
            Workbench::png($width, $height, $plan['channels'], $plan['bits'], $plan['density']),
        );
        if ($plan['stray'] !== null) {
            $bench->put($plan['stray'], 'x');
        }
        if ($plan['empty']) {
            // the fifth frame that is there
            $numbers = iterator_to_array(\PlainLedger\Core\Measure\FrameRange::parse($plan['range'])->numbers(), false);
            $bench->put(sprintf($name, $numbers[4]), '');
        }
        $document = $bench->check(Workbench::specification([
            'picture.resolution' => '64x36', 'picture.pixel_aspect' => '1/1', 'time.range' => '1001-1020',
            'format.kind' => 'png', 'format.bit_depth' => 16, 'format.channels' => 'RGBA',
            'naming.pattern' => '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
            'content.whole' => 'yes',
            'content.uniform' => 'yes',
            'delivery.extras' => 'none',
        ]));
        $found = array_column($document['causes'], 'id');
        sort($found);
        sort($causes);

        self::assertSame(
            $causes,
            $found,
            (string) json_encode($document['causes'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
        );
        $unequal = array_column(
            array_filter($document['entries'], static fn (array $e): bool => $e['mark'] === 'unequal'),
            'id',
        );
        $explained = array_values(array_unique(array_merge(...array_column($document['causes'], 'explains'))));
        self::assertEqualsCanonicalizing($unequal, $explained);
        foreach ($document['causes'] as $cause) {
            self::assertNotSame('', $cause['says']);
            self::assertNotSame([], $cause['evidence']);
        }
    }
}
