<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\ExrAttributes;
use PlainLedger\Demo\ExrWriter;
use PlainLedger\Demo\Painter;
use PlainLedger\Demo\PngWriter;

/** A folder of its own for one test, and short ways to fill and check it. */
final class Workbench
{
    public const NOW = 1_790_000_000;

    public readonly string $folder;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/plain-ledger-test-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    public function __destruct()
    {
        self::remove($this->folder);
    }

    public static function remove(string $path): void
    {
        if (is_dir($path) && ! is_link($path)) {
            @chmod($path, 0o755);
            foreach (scandir($path) ?: [] as $name) {
                if ($name !== '.' && $name !== '..') {
                    self::remove("{$path}/{$name}");
                }
            }
            rmdir($path);
        } else {
            unlink($path);
        }
    }

    public static function png(
        int $width = 64,
        int $height = 36,
        string $channels = 'RGB',
        int $bits = 8,
        ?array $density = null,
        array $texts = [],
    ): string {
        return (
            new PngWriter($width, $height, $channels, $bits, $density, $texts)
        )->write((new Painter($width, $height))->lines(1));
    }

    /** @param  mixed  ...$more  what the writer takes, and what its attributes take, by name */
    public static function exr(int $width = 64, int $height = 36, mixed ...$more): string
    {
        $told = array_intersect_key($more, get_class_vars(ExrAttributes::class));
        $form = array_diff_key($more, $told);
        $writer = new ExrWriter($width, $height, ...$form, attributes: new ExrAttributes(...$told));

        return $writer->write((new Painter($width, $height))->lines(1));
    }

    /**
     * Puts a file below the folder.
     *
     * @param  int  $age seconds before the moment of the scan
     */
    public function put(string $path, string $bytes, int $age = 90_000): self
    {
        $full = "{$this->folder}/{$path}";
        if (! is_dir(dirname($full))) {
            mkdir(dirname($full), 0o775, true);
        }
        file_put_contents($full, $bytes);
        touch($full, self::NOW - $age);

        return $this;
    }

    /** A file for each frame, the name by sprintf; a minute apart, the last so old. */
    public function frames(string $format, string $range, string $bytes, int $age = 90_000): self
    {
        $set = FrameRange::parse($range);
        $left = count($set);
        foreach ($set->numbers() as $number) {
            $this->put(sprintf($format, $number), $bytes, $age + 60 * --$left);
        }

        return $this;
    }

    public function without(string ...$paths): self
    {
        foreach ($paths as $path) {
            unlink("{$this->folder}/{$path}");
        }

        return $this;
    }

    public function scan(
        ScanDepth $depth = ScanDepth::Quick,
        int $now = self::NOW,
        ?Specification $looksFor = null,
        array $approved = [],
    ): Delivery {
        $listing = FolderListing::of($this->folder);
        $sampler = $looksFor === null ? null : PixelRules::sampler($looksFor, $approved);
        $delivery = (
            new Scan(
                $listing,
                Probe::standard(),
                $depth,
                $sampler,
                $looksFor?->asksAny(['delivery.checksums']) ?? false,
            )
        )->run($now);

        return $looksFor === null ? $delivery : MovieLook::at($looksFor, $delivery, $listing, $sampler);
    }

    /** @param  array<string, mixed>  $require */
    public static function specification(array $require, array $more = []): Specification
    {
        $data = $more + [
            'format' => Specification::FORMAT,
            'version' => 1,
            'delivers' => 'frames',
            'values' => ['shot' => 'TC_010', 'task' => 'light', 'version' => 3],
            'require' => $require,
        ];

        return Specification::fromDocument(
            JsonDocument::parse((string) json_encode($data), 'spec.json', Specification::FORMAT),
        );
    }

    /** @param  array<string, mixed>  $settings */
    public static function scene(
        array $settings,
        array $scene = ['file' => 'TC_010_light_v003', 'saved' => true, 'project_folder' => 'tide_clock'],
    ): SceneSettings {
        return (new SceneJson)->read(
            (string) json_encode(
                [
                    'format' => SceneJson::FORMAT,
                    'version' => 1,
                    'scene' => (object) $scene,
                    'settings' => (object) $settings,
                ],
            ),
            'scene.json',
        );
    }

    /** @return array<string, mixed> the check document */
    public function check(
        Specification $specification,
        ?SceneSettings $scene = null,
        ScanDepth $depth = ScanDepth::Quick,
        int $now = self::NOW,
    ): array {
        return CheckReport::of($specification, $scene, $this->scan($depth, $now, $specification))->toArray();
    }

    /** The same, with its values. */
    public function report(Specification $specification, ?SceneSettings $scene = null): CheckReport
    {
        return CheckReport::of($specification, $scene, $this->scan(ScanDepth::Quick, self::NOW, $specification));
    }
}
