<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/**
 * A layer in the text form of USD that a scene can start from: the stage's rate and range, the camera by name, and
 * RenderSettings, RenderProduct and RenderVar prims (UsdRender schemas) with size, pixel aspect, product names and
 * passes. Everything else that is asked stands beside them as custom data.
 */
final readonly class SheetUsda implements SheetWriter
{
    public function write(Specification $specification): string
    {
        $parts = self::partsWritten($specification);
        $names = new PrimNames;
        $bodies = [];
        $prims = [];
        $cameras = [];
        foreach ($parts as $part) {
            $prim = $names->unique('', $part->name);
            $prims[] = $prim;
            $camera = self::camera($part);
            if ($camera !== null) {
                $cameras[$camera] ??= $names->unique('Cameras', $camera);
            }
            $path = $camera === null ? null : "/Cameras/{$cameras[$camera]}";
            $bodies[] = $this->settings($specification, $part, $prim, $path, $names);
        }
        $meta = $this->meta($specification, $parts[0], $prims[0]);

        return "#usda 1.0\n(\n    ".implode("\n    ", $meta)."\n)\n"
            .$this->cameras($cameras, $parts[0])
            ."\ndef Scope \"Render\"\n{\n".implode("\n", $bodies)."}\n";
    }

    /** @return non-empty-list<Part> a movie is made elsewhere, unless it is all there is */
    private static function partsWritten(Specification $specification): array
    {
        $rendered = array_filter($specification->parts, static fn (Part $p): bool => ! $p->delivers->isMovie());

        return $rendered === [] ? $specification->parts : array_values($rendered);
    }

    /** @return list<string> lines of the stage's metadata */
    private function meta(Specification $specification, Part $first, string $settings): array
    {
        $meta = ['doc = '.self::string(SheetText::title($specification)), 'defaultPrim = "Render"'];
        $expected = PartLength::expected($first);
        if ($expected !== null && ! $expected->isEmpty()) {
            $meta[] = "startTimeCode = {$expected->first()}";
            $meta[] = "endTimeCode = {$expected->last()}";
        }
        $rate = PartLength::rate($first);
        if ($rate !== null) {
            $meta[] = 'timeCodesPerSecond = '.self::rate($rate);
            $meta[] = 'framesPerSecond = '.self::rate($rate);
        }

        return [...$meta, "renderSettingsPrimPath = \"/Render/{$settings}\""];
    }

    /** @param  array<string, string>  $cameras  names of prims by the cameras' own */
    private function cameras(array $cameras, Part $first): string
    {
        $prims = [];
        foreach ($cameras as $name => $prim) {
            $prims[] = $this->cameraPrim((string) $name, $prim, $first);
        }

        return $prims === [] ? '' : "\ndef Scope \"Cameras\"\n{\n".implode("\n", $prims)."}\n";
    }

    /** The one camera that is asked by its whole name. */
    private static function camera(Part $part): ?string
    {
        $asked = $part->values(RequirementId::CAMERA_NAME);

        return count($asked) === 1 && preg_match('~[*?]~', $asked[0]) !== 1 ? $asked[0] : null;
    }

    private function cameraPrim(string $name, string $prim, Part $part): string
    {
        $size = $part->find(RequirementId::PICTURE_RESOLUTION)->value->values[0] ?? null;
        $aperture = '';
        if ($size !== null) {
            // an aperture of the picture's own shape, so that nothing is cropped or filled in
            $aspect = Resolution::parse($size)->displayAspect(
                Fraction::parse($part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1'),
            );
            $aperture = "        float horizontalAperture = 36\n        float verticalAperture = "
                .Fraction::decimal($aspect->reciprocal()->multipliedBy(36), 6)
                ."\n";
        }

        return "    def Camera \"{$prim}\" (\n        displayName = "
            .self::string($name)
            ."\n    )\n    {\n{$aperture}    }\n";
    }

    private function settings(
        Specification $specification,
        Part $part,
        string $prim,
        ?string $camera,
        PrimNames $names,
    ): string {
        $lines = [];
        $size = $part->find(RequirementId::PICTURE_RESOLUTION)->value->values[0] ?? null;
        if ($size !== null) {
            $resolution = Resolution::parse($size);
            $lines[] = "uniform int2 resolution = ({$resolution->width}, {$resolution->height})";
        }
        $aspect = Fraction::parse($part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1');
        $lines[] = 'uniform float pixelAspectRatio = '.Fraction::decimal($aspect, 9);
        $lines[] = 'uniform token aspectRatioConformPolicy = "expandAperture"';
        if ($camera !== null) {
            $lines[] = "rel camera = <{$camera}>";
        }
        [$products, $vars, $paths] = $this->products($specification, $part, $prim, $names);
        $lines[] = 'rel products = '.(
            count($paths) === 1
                ? "<{$paths[0]}>"
                : "[\n            "
                    .implode(",\n            ", array_map(static fn (string $p): string => "<{$p}>", $paths))
                    ."\n        ]"
        );
        $asked = '';
        foreach ($part->requirements as $requirement) {
            $asked .= '                string '
                .self::string($requirement->id())
                .' = '
                .self::string($requirement->required())
                ."\n";
        }

        return "    def RenderSettings \"{$prim}\" (\n        displayName = "
            .self::string($part->name)
            ."\n        customData = {\n            dictionary required = {\n{$asked}            }\n        }\n    "
            .")\n    {\n        "
            .implode("\n        ", $lines)
            ."\n\n{$products}{$vars}    }\n";
    }

    /** @return array{string, string, list<string>} products, their variables, and the products' paths */
    private function products(Specification $specification, Part $part, string $prim, PrimNames $names): array
    {
        $path = "/Render/{$prim}";
        $passes = $part->passes() === [] ? [null] : $part->passes();
        $byFiles = $part->passesByFiles();
        $vars = '';
        $varPaths = [];
        foreach ($passes as $pass) {
            $own = $part->ofPass($pass);
            $var = $names->unique("{$path}/Vars", $pass ?? 'beauty');
            $varPaths[] = "{$path}/Vars/{$var}";
            $vars .= "            def RenderVar \"{$var}\"\n            {\n                uniform token dataType = \""
                .self::dataType($own)
                .'"'
                ."\n                uniform string sourceName = "
                .self::string($pass ?? 'beauty')
                ."\n                uniform token sourceType = \"raw\"\n            }\n";
        }
        $products = '';
        $paths = [];
        foreach ($byFiles ? $passes : [null] as $i => $pass) {
            $product = $names->unique($path, $pass ?? 'product');
            $paths[] = "{$path}/{$product}";
            $ordered = $byFiles ? [$varPaths[$i]] : $varPaths;
            $products .= "        def RenderProduct \"{$product}\"\n        {\n            uniform token "
                ."productType = \"raster\"\n            token productName = "
                .self::string($this->productName($specification, $part->ofPass($pass), $pass))
                ."\n            rel orderedVars = "
                .(
                    count($ordered) === 1
                        ? "<{$ordered[0]}>"
                        : '['.implode(', ', array_map(static fn (string $p): string => "<{$p}>", $ordered)).']'
                )
                ."\n        }\n\n";
        }

        return [$products, "        def Scope \"Vars\"\n        {\n{$vars}        }\n", $paths];
    }

    /** Folder and name, `#` for each digit of the frame number. */
    private function productName(Specification $specification, Part $part, ?string $pass): string
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        if ($source === null) {
            return $pass ?? $part->name;
        }
        $values = $specification->pieceValues($part);
        $values = $pass === null ? $values : $values->with('pass', $pass);
        $folder = NamePattern::tidyFolder(
            NamePattern::parse(
                $part->single(RequirementId::OUTPUT_FOLDER) ?? $part->single(RequirementId::NAMING_FOLDER) ?? '.',
            )->make($values),
        );

        return ($folder === '.' ? '' : "{$folder}/").NamePattern::parse($source)->make($values);
    }

    private static function dataType(Part $part): string
    {
        $own = array_values(
            array_filter(
                Channels::parse($part->single(RequirementId::FORMAT_CHANNELS) ?? 'RGB'),
                static fn (string $c): bool => Channels::split($c)[0] === '',
            ),
        );
        $half = $part->single(RequirementId::FORMAT_BIT_DEPTH) === '16'
            && $part->single(RequirementId::FORMAT_SAMPLE) === 'float'
            ? 'h'
            : 'f';

        return match (true) {
            count($own) >= 4 && in_array('A', $own, true) => "color4{$half}",
            count($own) === 1 => $half === 'h' ? 'half' : 'float',
            count($own) === 2 => $half === 'h' ? 'half2' : 'float2',
            default => "color3{$half}",
        };
    }

    /** A double: exact where the rate is whole, else to the last place that a double holds. */
    private static function rate(FrameRate $rate): string
    {
        return Fraction::decimal($rate->value, 15);
    }

    private static function string(string $text): string
    {
        return '"'.strtr($text, ['\\' => '\\\\', '"' => '\\"', "\n" => '\\n', "\r" => '\\r', "\t" => '\\t']).'"';
    }
}
