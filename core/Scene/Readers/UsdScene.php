<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Misread;
use PlainLedger\Core\Scene\RawSettings;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * A scene, or its render settings, in the text form of USD: the stage's rate and range, cameras, and RenderSettings,
 * RenderProduct and RenderVar prims (UsdRender and UsdGeom schemas). Geometry and time samples are passed over.
 */
final class UsdScene implements SceneReader
{
    private const DEEPEST = 200;

    private const MOST_PRIMS = 10_000;

    private const BEGINNINGS = ['def', 'over', 'class', 'variantSet'];

    private const TYPES = ['RenderSettings', 'RenderProduct', 'RenderVar', 'Camera'];

    /** What each product may say for itself, by the setting it comes to. */
    private const OF_PRODUCTS = [
        RequirementId::PICTURE_RESOLUTION => ['resolution'],
        RequirementId::PICTURE_PIXEL_ASPECT => ['pixelAspectRatio', 'aspectRatioConformPolicy'],
        RequirementId::PICTURE_REGION => ['dataWindowNDC'],
        RequirementId::RENDER_MOTION_BLUR => ['disableMotionBlur', 'instantaneousShutter'],
    ];

    /** @var array<string, mixed> of the stage */
    private array $stage = [];

    /** @var array<string, array{type: string, attributes: array<string, mixed>}> by path */
    private array $prims = [];

    /** @var array<string, true> */
    private array $strange = [];

    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        return self::from(new StringSource($text), $label);
    }

    public static function from(ByteSource $source, string $label): SceneSettings
    {
        $reader = new self;
        $label = Text::shown($label);
        $text = new UsdText($source, $label);
        if ($text->peek() === '(') {
            $reader->stage = $reader->metadata($text);
        }
        $none = null;
        while ($text->peek() !== '') {
            $reader->statement($text, '', $none, 0, $label);
        }
        if ($reader->stage === [] && $reader->prims === []) {
            throw JsonRefused::because(
                $label,
                'there is neither a frame rate or range of the stage in it, nor a camera, nor render settings.',
            );
        }

        if ($text->wasLatin()) {
            $reader->strange[DetectingReader::LATIN] = true;
        }

        return $reader->told()->understood();
    }

    /** @return array<string, mixed> */
    private function metadata(UsdText $text): array
    {
        $text->take('(');
        $found = [];
        while (! $text->took(')')) {
            if (in_array($text->peek(), ['"', "'"], true)) {
                $text->string();

                continue;
            }
            $word = $text->word();
            if (in_array($word, ['prepend', 'append', 'add', 'delete', 'reorder'], true)) {
                $word = $text->word();
            }
            if ($word === '') {
                $text->take(')');

                return $found;
            }
            if ($text->took('=')) {
                $value = $text->value();
                if (is_string($value) && count($found) < 200) {
                    $found[$word] = $value;
                }
            }
        }

        return $found;
    }

    /**
     * One prim, variant set or property of a prim.
     *
     * @param  array{type: string, attributes: array<string, mixed>}|null  $prim  whose property it is; null where it is of no use here
     */
    private function statement(UsdText $text, string $path, ?array &$prim, int $depth, string $label): void
    {
        if ($depth > self::DEEPEST) {
            throw JsonRefused::because($label, 'it is nested deeper than '.self::DEEPEST.' prims.');
        }
        $word = $text->word();
        if ($word !== '' && ! in_array($word, self::BEGINNINGS, true)) {
            // a property without a value ends where the next thing begins
            $word = $this->property($text, $word, $prim);
            if ($word === null) {
                return;
            }
        }
        if (in_array($word, ['def', 'over', 'class'], true)) {
            $this->prim($text, $path, $word, $depth, $label);
        } elseif ($word === 'variantSet') {
            $text->string();
            $text->take('=');
            $text->take('{');
            while (! $text->took('}')) {
                $text->string();
                if ($text->peek() === '(') {
                    $text->skip();
                }
                // what stands in a variant may hold or not; only the prims in it are of use
                $none = null;
                $this->body($text, $path, $none, $depth + 1, $label);
            }
        } else {
            throw $text->unexpected($depth === 0 ? 'def' : '}');
        }
    }

    private function prim(UsdText $text, string $path, string $kind, int $depth, string $label): void
    {
        $type = in_array($text->peek(), ['"', "'"], true) ? '' : $text->word();
        $name = $text->string();
        $path .= "/{$name}";
        $metadata = $text->peek() === '(' ? $this->metadata($text) : [];
        $prim = in_array($type, self::TYPES, true) || isset($this->prims[$path])
            ? ($this->prims[$path] ?? ['type' => $type, 'attributes' => []])
            : null;
        if ($prim !== null && isset($metadata['displayName'])) {
            $prim['attributes']['displayName'] = $metadata['displayName'];
        }
        $this->body($text, $path, $prim, $depth + 1, $label);
        if ($prim !== null && $kind !== 'class' && count($this->prims) < self::MOST_PRIMS) {
            $this->prims[$path] = $prim;
        }
    }

    /** @param  array{type: string, attributes: array<string, mixed>}|null  $prim */
    private function body(UsdText $text, string $path, ?array &$prim, int $depth, string $label): void
    {
        $text->take('{');
        while (! $text->took('}')) {
            $this->statement($text, $path, $prim, $depth, $label);
        }
    }

    /**
     * @param  array{type: string, attributes: array<string, mixed>}|null  $prim
     * @return string|null the word with which the next thing has begun already
     */
    private function property(UsdText $text, string $word, ?array &$prim): ?string
    {
        $words = [$word];
        // `custom uniform token[] name`: the last word before what follows is its name
        while (! in_array($text->peek(), ['=', '(', '}', ''], true)) {
            if ($text->took('[')) {
                $text->take(']');

                continue;
            }
            $next = $text->word();
            if ($next === '') {
                throw $text->unexpected('=');
            } elseif (in_array($next, self::BEGINNINGS, true)) {
                return $next;
            } else {
                $words[] = $next;
            }
            if (count($words) > 8) {
                break;
            }
        }
        $name = $words[count($words) - 1];
        if ($text->took('=')) {
            if ($text->peek() === '{' || $prim === null) {
                // time samples, and whatever belongs to a prim that is of no use here
                in_array($text->peek(), ['{', '[', '('], true) ? $text->skip() : $text->value(0);
            } else {
                $value = $text->value();
                if ($value !== null && count($prim['attributes']) < 1000) {
                    $prim['attributes'][$name] = $value;
                }
            }
        }
        if ($text->peek() === '(') {
            $text->skip();
        }

        return null;
    }

    private function told(): RawSettings
    {
        $settings = $this->time();
        $cameras = $this->ofType('Camera');
        if ($cameras !== []) {
            $settings['camera.all'] = array_map($this->nameOf(...), array_keys($cameras));
        }
        $chosen = $this->chosenSettings();
        if ($chosen !== null) {
            $settings += $this->rendered($chosen);
        }

        return new RawSettings([], $settings, new Misread(array_keys($this->strange)));
    }

    /** @return array<string, array{type: string, attributes: array<string, mixed>}> by path */
    private function ofType(string $type): array
    {
        return array_filter($this->prims, static fn (array $p): bool => $p['type'] === $type);
    }

    /** A prim by the name people see, else by its last word. */
    private function nameOf(string $path): string
    {
        $shown = $this->prims[$path]['attributes']['displayName'] ?? null;

        return is_string($shown) && $shown !== '' ? $shown : substr((string) strrchr("/{$path}", '/'), 1);
    }

    /** @return array<string, mixed> rate, range and timeline of the stage */
    private function time(): array
    {
        $number = fn (string $key): ?float => is_string($this->stage[$key] ?? null) && is_numeric($this->stage[$key])
            ? (float) $this->stage[$key]
            : null;
        $codes = $number('timeCodesPerSecond');
        $rate = $number('framesPerSecond') ?? $codes;
        $exact = $rate === null ? null : FrameRate::fromFloat($rate);
        $settings = $exact === null ? [] : [RequirementId::TIME_RATE => (string) $exact];
        $ends = [$number('startTimeCode'), $number('endTimeCode')];
        if ($ends[0] === null || $ends[1] === null) {
            return $settings;
        }
        // a time code is a frame where both are counted alike
        $perFrame = $exact === null || $codes === null ? null : FrameRate::fromFloat($codes);
        $frames = [];
        foreach ($ends as $end) {
            $frame = Fraction::fromFloat($end, 53);
            $frame = $perFrame === null
                ? $frame
                : $frame->multipliedBy($exact->value)->dividedBy($perFrame->value)->simplified();
            if (! $frame->getDenominator()->isEqualTo(1)) {
                $this->strange["startTimeCode and endTimeCode: {$ends[0]} to {$ends[1]} do not fall on whole frames"] = true;

                return $settings;
            }
            $frames[] = (string) $frame;
        }
        $range = $frames[0] === $frames[1] ? $frames[0] : "{$frames[0]}-{$frames[1]}";

        return $settings + [RequirementId::TIME_RANGE => $range, 'time.timeline' => $range];
    }

    /** The settings that the stage names, else the only ones there are. */
    private function chosenSettings(): ?string
    {
        $all = array_keys($this->ofType('RenderSettings'));
        $named = $this->stage['renderSettingsPrimPath'] ?? null;
        if (is_string($named) && in_array($named, $all, true)) {
            return $named;
        }
        if (count($all) > 1) {
            $this->strange['several render settings, and the stage does not say which hold: '.implode(', ', array_slice($all, 0, 5))] = true;

            return null;
        }

        return $all[0] ?? null;
    }

    /** @return array<string, mixed> */
    private function rendered(string $path): array
    {
        $settings = $this->prims[$path]['attributes'];
        $products = array_values(
            array_filter(
                $this->paths($settings['products'] ?? null),
                fn (string $p): bool => ($this->prims[$p]['type'] ?? '') === 'RenderProduct',
            ),
        );
        // a product may say otherwise than the settings it belongs to
        $own = $products === [] ? [] : $this->prims[$products[0]]['attributes'];
        $get = static fn (string $key): mixed => $own[$key] ?? $settings[$key] ?? null;
        $told = [];
        $size = $get('resolution');
        if (is_array($size) && count($size) === 2 && is_string($size[0]) && is_string($size[1])) {
            $told[RequirementId::PICTURE_RESOLUTION] = "{$size[0]}x{$size[1]}";
        }
        $aspect = $get('pixelAspectRatio');
        if (is_string($aspect) && is_numeric($aspect)) {
            $told[RequirementId::PICTURE_PIXEL_ASPECT] = Fraction::write(Fraction::fromFloat((float) $aspect));
        }
        $camera = $this->paths($get('camera'))[0] ?? null;
        $cameras = $this->camerasOf($products, $settings);
        if ($cameras !== []) {
            $told['camera.chosen'] = array_map($this->nameOf(...), $cameras);
        }
        if ($get('aspectRatioConformPolicy') === 'adjustPixelAspectRatio' && $camera !== null && is_array($size)) {
            $conformed = $this->conformed($camera, $told[RequirementId::PICTURE_RESOLUTION] ?? '');
            $told = $conformed === null ? $told : [RequirementId::PICTURE_PIXEL_ASPECT => $conformed] + $told;
        }
        $blur = $get('disableMotionBlur') ?? $get('instantaneousShutter');
        if (is_string($blur)) {
            $told[RequirementId::RENDER_MOTION_BLUR] = in_array(strtolower($blur), ['1', 'true'], true) ? 'off' : 'on';
        }
        $purposes = $settings['includedPurposes'] ?? null;
        if (is_array($purposes)) {
            $told[RequirementId::RENDER_OVERLAYS] = in_array('guide', $purposes, true) ? 'on' : 'off';
        }
        $window = $this->window($get('dataWindowNDC'), $told[RequirementId::PICTURE_RESOLUTION] ?? null);
        $told += $window === null ? [] : [RequirementId::PICTURE_REGION => $window];

        return $this->withoutWhatDiffers($told, $products, $settings)
            + ($camera === null ? [] : $this->placed($camera))
            + $this->products($products);
    }

    /**
     * What one product says otherwise than another is no one value: it stays open, and is told.
     *
     * @param  array<string, mixed>  $told
     * @param  list<string>  $products
     * @param  array<string, mixed>  $settings
     * @return array<string, mixed>
     */
    private function withoutWhatDiffers(array $told, array $products, array $settings): array
    {
        foreach (self::OF_PRODUCTS as $id => $keys) {
            $values = [];
            foreach ($products as $path) {
                $own = $this->prims[$path]['attributes'];
                $values[$this->nameOf($path)] = array_map(
                    static fn (string $key): mixed => $own[$key] ?? $settings[$key] ?? null,
                    $keys,
                );
            }
            if (count(array_unique(array_map(serialize(...), $values))) > 1) {
                $this->strange[implode(', ', $keys).' differ from product to product, so they are not compared: '.implode(', ', array_slice(array_keys($values), 0, 5))] = true;
                unset($told[$id]);
            }
        }

        return $told;
    }

    /**
     * Each product may be seen through a camera of its own.
     *
     * @param  list<string>  $products
     * @param  array<string, mixed>  $settings
     * @return list<string> paths, each once
     */
    private function camerasOf(array $products, array $settings): array
    {
        $cameras = [];
        foreach ($products === [] ? [[]] : array_map(
            fn (string $p): array => $this->prims[$p]['attributes'],
            $products,
        ) as $own) {
            foreach (array_slice($this->paths($own['camera'] ?? $settings['camera'] ?? null), 0, 1) as $path) {
                $cameras[$path] = true;
            }
        }

        return array_map(strval(...), array_keys($cameras));
    }

    /** The pixel aspect by which the picture covers just the camera's aperture (UsdRender, aspectRatioConformPolicy; apertures of UsdGeomCamera where none are told). */
    private function conformed(string $camera, string $size): ?string
    {
        $attributes = $this->prims[$camera]['attributes'] ?? null;
        $number = static fn (string $key, string $usual): string => is_string($attributes[$key] ?? null)
            && is_numeric($attributes[$key])
            ? $attributes[$key]
            : $usual;
        if ($attributes === null || preg_match('~^(\d+)x(\d+)$~', $size, $m) !== 1) {
            return null;
        }
        [$across, $up] = [
            Fraction::fromFloat((float) $number('horizontalAperture', '20.955'), 53),
            Fraction::fromFloat((float) $number('verticalAperture', '15.2908'), 53),
        ];
        if ($up->isLessThanOrEqualTo(0) || $across->isLessThanOrEqualTo(0) || (int) $m[1] === 0) {
            return null;
        }

        return Fraction::write($across->dividedBy($up)->multipliedBy((int) $m[2])->dividedBy((int) $m[1]));
    }

    /** @return array<string, string> where the camera stands within its parent, and through which lens it looks, as far as that stands still */
    private function placed(string $camera): array
    {
        $placement = [];
        $lens = [];
        foreach ($this->prims[$camera]['attributes'] ?? [] as $name => $value) {
            $text = is_string($value) ? $value : (is_array($value) ? implode(', ', self::flat($value)) : '');
            if ($text !== '' && str_starts_with($name, 'xformOp:')) {
                $placement[] = substr($name, 8).' '.$text;
            } elseif (
                $text !== ''
                && in_array($name, ['focalLength', 'horizontalAperture', 'verticalAperture', 'projection'], true)
            ) {
                $lens[] = "{$name} {$text}";
            }
        }

        return (
            $placement === [] ? [] : ['camera.placement' => implode('; ', $placement)]
        ) + ($lens === [] ? [] : ['camera.lens' => implode('; ', $lens)]);
    }

    /**
     * @param  array<mixed>  $value
     * @return list<string>
     */
    private static function flat(array $value): array
    {
        $texts = [];
        array_walk_recursive($value, static function (mixed $each) use (&$texts): void {
            if (is_string($each) && count($texts) < 16) {
                $texts[] = $each;
            }
        });

        return $texts;
    }

    /** The part of the picture that is rendered, as `full` or in pixels from the top left. */
    private function window(mixed $corners, ?string $size): ?string
    {
        if (
            ! is_array($corners)
            || count($corners) !== 4
            || array_filter($corners, static fn (mixed $c): bool => ! is_string($c) || ! is_numeric($c)) !== []
        ) {
            return null;
        }
        [$left, $bottom, $right, $top] = array_map(
            static fn (mixed $c): BigRational => Fraction::fromFloat(is_string($c) ? (float) $c : 0.0),
            $corners,
        );
        if (
            $left->isLessThanOrEqualTo(0)
            && $bottom->isLessThanOrEqualTo(0)
            && $right->isGreaterThanOrEqualTo(1)
            && $top->isGreaterThanOrEqualTo(1)
        ) {
            return 'full';
        }
        if ($size === null) {
            return 'on';
        }
        [$width, $height] = explode('x', $size);
        $pixels = static fn (BigRational $part, string $side): int => $part->multipliedBy($side)
            ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
            ->toInt();

        return implode(
            ',',
            [
                $pixels($left, $width),
                $pixels(BigRational::one()->minus($top), $height),
                $pixels($right->minus($left), $width),
                $pixels($top->minus($bottom), $height),
            ],
        );
    }

    /**
     * File names and passes.
     *
     * @param  list<string>  $products
     * @return array<string, mixed>
     */
    private function products(array $products): array
    {
        $names = [];
        $passes = [];
        $types = [];
        foreach ($products as $path) {
            $attributes = $this->prims[$path]['attributes'];
            if (is_string($attributes['productName'] ?? null) && $attributes['productName'] !== '') {
                $names[] = $attributes['productName'];
            }
            foreach ($this->paths($attributes['orderedVars'] ?? null) as $var) {
                $source = $this->prims[$var]['attributes']['sourceName'] ?? null;
                $passes[] = is_string($source) && $source !== '' ? $source : $this->nameOf($var);
                $type = $this->prims[$var]['attributes']['dataType'] ?? null;
                $types[] = is_string($type) ? $type : '';
            }
        }
        $told = count($passes) < 2
            ? []
            : [
                'passes' => array_map(
                    static fn (string $p): array => ['name' => $p, 'saved' => true],
                    array_values(array_unique($passes)),
                ),
            ];
        $type = $types[0] ?? '';
        if (preg_match('~^(color3|color4|half|float|vector3|normal3|point3)([hfd]?)(?:\[\])?$~', $type, $m) === 1) {
            $told[RequirementId::FORMAT_SAMPLE] = 'float';
            $told[RequirementId::FORMAT_BIT_DEPTH] = $m[1] === 'half' || $m[2] === 'h' ? '16' : '32';
            $told += match ($m[1]) {
                'color4' => [RequirementId::FORMAT_CHANNELS => 'RGBA'],
                'color3' => [RequirementId::FORMAT_CHANNELS => 'RGB'],
                default => [],
            };
        }

        return $told + $this->named($names, $passes);
    }

    /**
     * @param  list<string>  $names  of products, with their folders
     * @param  list<string>  $passes
     * @return array<string, string>
     */
    private function named(array $names, array $passes): array
    {
        if ($names === []) {
            return [];
        }
        // of several passes with files of their own, the piece in which they differ is the pass's
        $name = count($names) === count($passes) && count($names) > 1
            ? str_replace($passes[0], '{pass}', $names[0])
            : $names[0];
        $name = strtr($name, '\\', '/');
        $slash = strrpos($name, '/');
        $file = $slash === false ? $name : substr($name, $slash + 1);
        $told = [RequirementId::NAMING_PATTERN => $file] + (
            $slash === false ? [] : [RequirementId::OUTPUT_FOLDER => substr($name, 0, max(1, $slash))]
        );
        if (preg_match('~\.([A-Za-z][A-Za-z0-9]{1,4})$~', $file, $m) === 1) {
            $told[RequirementId::FORMAT_KIND] = $m[1];
        }

        return $told;
    }

    /** @return list<string> */
    private function paths(mixed $value): array
    {
        $list = is_array($value) ? $value : [$value];

        return array_values(
            array_filter($list, static fn (mixed $p): bool => is_string($p) && $p !== '' && $p !== 'None'),
        );
    }
}
