<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\RequirementId;

/** One RenderSettings prim with its products, which may say otherwise than the settings they belong to (UsdRender). */
final readonly class UsdRenderSettings
{
    /** What each product may say for itself, by the setting it comes to. */
    private const OF_PRODUCTS = [
        RequirementId::PICTURE_RESOLUTION => ['resolution'],
        RequirementId::PICTURE_PIXEL_ASPECT => ['pixelAspectRatio', 'aspectRatioConformPolicy'],
        RequirementId::PICTURE_REGION => ['dataWindowNDC'],
        RequirementId::RENDER_MOTION_BLUR => ['disableMotionBlur', 'instantaneousShutter'],
    ];

    /** @var array<string, mixed> */
    private array $own;

    /** @var list<string> paths */
    private array $products;

    public function __construct(private UsdStage $stage, string $path)
    {
        $this->own = $stage->attributes($path);
        $products = UsdStage::paths($this->own['products'] ?? null);
        $this->products = array_values(
            array_filter($products, static fn (string $p): bool => $stage->isA($p, 'RenderProduct')),
        );
    }

    /** @return array<string, mixed> */
    public function settings(): array
    {
        $size = $this->size();
        $told = [
            RequirementId::PICTURE_RESOLUTION => $size,
            RequirementId::PICTURE_PIXEL_ASPECT => $this->pixelAspect($size),
            'camera.chosen' => array_map($this->stage->nameOf(...), $this->cameras()) ?: null,
            RequirementId::RENDER_MOTION_BLUR => $this->motionBlur(),
            RequirementId::RENDER_OVERLAYS => $this->overlays(),
            RequirementId::PICTURE_REGION => $this->region($size),
        ];
        $told = array_filter($told, static fn (mixed $value): bool => $value !== null);
        $camera = $this->camera();

        return array_diff_key($told, $this->differing())
            + ($camera === null ? [] : (new UsdCamera($this->stage->attributes($camera)))->facts())
            + (new UsdProducts($this->stage, $this->products))->settings();
    }

    /** @return list<string> what one product says otherwise than another, which is no one value */
    public function faults(): array
    {
        return array_values(array_map(
            fn (array $keys): string => implode(', ', $keys)
                .' differ from product to product, so they are not compared: '
                .implode(', ', array_slice(array_map($this->stage->nameOf(...), $this->products), 0, 5)),
            $this->differing(),
        ));
    }

    /** @return array<string, list<string>> attributes, by the setting they come to */
    private function differing(): array
    {
        return array_filter(self::OF_PRODUCTS, function (array $keys): bool {
            $values = array_map(
                fn (string $path): string => serialize(array_map(
                    fn (string $key): mixed => $this->stage->attributes($path)[$key] ?? $this->own[$key] ?? null,
                    $keys,
                )),
                $this->products,
            );

            return count(array_unique($values)) > 1;
        });
    }

    private function get(string $key): mixed
    {
        $first = $this->products === [] ? [] : $this->stage->attributes($this->products[0]);

        return $first[$key] ?? $this->own[$key] ?? null;
    }

    private function size(): ?string
    {
        $size = $this->get('resolution');

        return is_array($size) && count($size) === 2 && is_string($size[0]) && is_string($size[1])
            ? "{$size[0]}x{$size[1]}"
            : null;
    }

    private function pixelAspect(?string $size): ?string
    {
        $camera = $this->camera();
        $conforms = $this->get('aspectRatioConformPolicy') === 'adjustPixelAspectRatio'
            && is_array($this->get('resolution'));
        if ($conforms && $camera !== null && $this->stage->has($camera)) {
            $conformed = (new UsdCamera($this->stage->attributes($camera)))->conformedAspect($size ?? '');
        }
        $told = $this->get('pixelAspectRatio');
        $plain = is_string($told) && is_numeric($told) ? Fraction::write(Fraction::fromFloat((float) $told)) : null;

        return $conformed ?? $plain;
    }

    private function camera(): ?string
    {
        return UsdStage::paths($this->get('camera'))[0] ?? null;
    }

    /**
     * Each product may be seen through a camera of its own.
     *
     * @return list<string> paths, each once
     */
    private function cameras(): array
    {
        $products = $this->products === [] ? [[]] : array_map($this->stage->attributes(...), $this->products);
        $cameras = array_map(
            fn (array $product): ?string => UsdStage::paths($product['camera'] ?? $this->own['camera'] ?? null)[0]
                ?? null,
            $products,
        );

        return array_values(array_unique(array_filter($cameras, is_string(...))));
    }

    private function motionBlur(): ?string
    {
        $off = $this->get('disableMotionBlur') ?? $this->get('instantaneousShutter');
        if (! is_string($off)) {
            return null;
        }

        return in_array(strtolower($off), ['1', 'true'], true) ? 'off' : 'on';
    }

    private function overlays(): ?string
    {
        $purposes = $this->own['includedPurposes'] ?? null;
        if (! is_array($purposes)) {
            return null;
        }

        return in_array('guide', $purposes, true) ? 'on' : 'off';
    }

    /** The part of the picture that is rendered, as `full` or in pixels from the top left. */
    private function region(?string $size): ?string
    {
        $corners = $this->get('dataWindowNDC');
        $isNumber = static fn (mixed $corner): bool => is_string($corner) && is_numeric($corner);
        if (! is_array($corners) || count($corners) !== 4 || count(array_filter($corners, $isNumber)) !== 4) {
            return null;
        }
        $part = static fn (mixed $corner): BigRational => Fraction::fromFloat(
            is_string($corner) ? (float) $corner : 0.0,
        );
        [$left, $bottom, $right, $top] = array_map($part, array_values($corners));
        $atStart = BigRational::max($left, $bottom)->isLessThanOrEqualTo(0);
        if ($atStart && BigRational::min($right, $top)->isGreaterThanOrEqualTo(1)) {
            return 'full';
        }
        if ($size === null) {
            return 'on';
        }
        [$width, $height] = explode('x', $size);
        $pixels = static fn (BigRational $share, string $side): int => $share->multipliedBy($side)
            ->toScale(0, RoundingMode::HALF_UP)
            ->toInt();

        return implode(',', [
            $pixels($left, $width),
            $pixels(BigRational::one()->minus($top), $height),
            $pixels($right->minus($left), $width),
            $pixels($top->minus($bottom), $height),
        ]);
    }
}
