<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;

/** One camera of a stage (UsdGeomCamera). */
final readonly class UsdCamera
{
    /** Apertures, in tenths of a scene unit, where none are told. */
    private const USUAL = ['horizontalAperture' => '20.955', 'verticalAperture' => '15.2908'];

    private const LENS = ['focalLength', 'horizontalAperture', 'verticalAperture', 'projection'];

    /** @param  array<string, mixed>  $attributes */
    public function __construct(private array $attributes) {}

    /**
     * The pixel aspect by which the picture covers just the camera's aperture (UsdRender, aspectRatioConformPolicy).
     */
    public function conformedAspect(string $size): ?string
    {
        if (preg_match('~^(\d+)x(\d+)$~', $size, $m) !== 1 || (int) $m[1] === 0) {
            return null;
        }
        [$across, $up] = [$this->aperture('horizontalAperture'), $this->aperture('verticalAperture')];
        if ($up->isLessThanOrEqualTo(0) || $across->isLessThanOrEqualTo(0)) {
            return null;
        }

        return Fraction::write($across->dividedBy($up)->multipliedBy((int) $m[2])->dividedBy((int) $m[1]));
    }

    /** @param  key-of<self::USUAL>  $key */
    private function aperture(string $key): BigRational
    {
        $told = $this->attributes[$key] ?? null;

        return Fraction::fromFloat((float) (is_string($told) && is_numeric($told) ? $told : self::USUAL[$key]), 53);
    }

    /**
     * @return array<string, string> where it stands within its parent, and through which lens it looks, as far as
     *   that stands still
     */
    public function facts(): array
    {
        $placement = [];
        $lens = [];
        foreach (array_filter(array_map(self::text(...), $this->attributes)) as $name => $text) {
            if (str_starts_with($name, 'xformOp:')) {
                $placement[] = substr($name, 8)." {$text}";
            } elseif (in_array($name, self::LENS, true)) {
                $lens[] = "{$name} {$text}";
            }
        }
        $facts = ['camera.placement' => implode('; ', $placement), 'camera.lens' => implode('; ', $lens)];

        return array_filter($facts, static fn (string $fact): bool => $fact !== '');
    }

    private static function text(mixed $value): string
    {
        $texts = [];
        $values = is_array($value) ? $value : [$value];
        array_walk_recursive($values, static function (mixed $each) use (&$texts): void {
            if (is_string($each) && count($texts) < 16) {
                $texts[] = $each;
            }
        });

        return implode(', ', $texts);
    }
}
