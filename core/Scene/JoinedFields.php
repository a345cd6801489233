<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use PlainLedger\Core\Specification\RequirementId;

/** What is told in two fields, or two things in one: width and height, first and last, a path with its name. */
final readonly class JoinedFields
{
    /** These are plainer in two fields than in one. */
    public const PLAINER = [
        RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_REGION, RequirementId::TIME_SPEED,
        RequirementId::TIME_RATE,
    ];

    /**
     * @param  array<string, string>  $values  by field
     * @return array<string, string> by id
     */
    public static function of(array $values): array
    {
        $both = static fn (string $one, string $other): bool => isset($values[$one], $values[$other]);

        return ($both('width', 'height') ? self::size($values['width'], $values['height']) : [])
            + SceneRegion::of($values)
            + ($both('old length', 'new length') ? self::speed($values['old length'], $values['new length']) : [])
            + ($both('first', 'last') ? self::range($values['first'], $values['last']) : [])
            + (
                $both(RequirementId::TIME_RATE, 'rate base')
                    ? self::rate($values[RequirementId::TIME_RATE], $values['rate base'])
                    : []
            )
            + (isset($values['path']) ? self::path(strtr($values['path'], '\\', '/')) : []);
    }

    /** @return array<string, string> */
    private static function size(string $width, string $height): array
    {
        $pixels = static fn (string $side): string => (string) preg_replace(
            '~\s*(?:px|pixels?)\.?$~i',
            '',
            trim($side),
        );

        return [RequirementId::PICTURE_RESOLUTION => "{$pixels($width)}x{$pixels($height)}"];
    }

    /**
     * `1001.0` is frame 1001.
     *
     * @return array<string, string>
     */
    private static function range(string $first, string $last): array
    {
        $whole = static fn (string $frame): string => (string) preg_replace('~^(-?\d+)\.0+$~', '$1', $frame);
        $one = $whole($first) === $whole($last);

        return [RequirementId::TIME_RANGE => $one ? $whole($first) : "{$whole($first)}-{$whole($last)}"];
    }

    /**
     * The length after by the length before, both in whatever they were counted.
     *
     * @return array<string, string>
     */
    private static function speed(string $old, string $new): array
    {
        $number = static fn (string $text): string => (string) preg_replace('~^\s*(\d+(?:\.\d+)?).*$~s', '$1', $text);

        return [RequirementId::TIME_SPEED => "{$number($new)}/{$number($old)}"];
    }

    /**
     * A whole rate over a base near one, `24` over `1.001`.
     *
     * @return array<string, string>
     */
    private static function rate(string $rate, string $base): array
    {
        [$rate, $base] = [trim($rate), trim($base)];
        $numbers = preg_match('~^\d{1,3}$~', $rate) === 1 && preg_match('~^\d{1,4}(?:\.\d{1,6})?$~', $base) === 1;

        return $numbers && (float) $base !== 0.0
            ? [RequirementId::TIME_RATE => (string) BigRational::of($rate)->dividedBy($base)->simplified()]
            : [];
    }

    /**
     * No path is an answer: none is set. A name alone tells nothing of its folder.
     *
     * @return array<string, string>
     */
    private static function path(string $path): array
    {
        $path = self::isFolder($path) ? rtrim($path, '/').'/' : $path;
        $slash = strrpos($path, '/');
        $name = $slash === false ? $path : substr($path, $slash + 1);
        $folder = $slash === false && $path !== ''
            ? []
            : [RequirementId::OUTPUT_FOLDER => substr($path, 0, max(1, (int) $slash))];
        $kind = preg_match('~\.([A-Za-z][A-Za-z0-9]{1,4})$~', $name, $m) === 1
            ? [RequirementId::FORMAT_KIND => $m[1]]
            : [];

        return $folder + ($name === '' ? [] : [RequirementId::NAMING_PATTERN => $name]) + $kind;
    }

    /** A path whose last word has neither number nor extension, and does not wait for a number, stays whole. */
    private static function isFolder(string $path): bool
    {
        $last = substr($path, (int) strrpos("/{$path}", '/'));

        return str_contains($path, '/')
            && $last !== ''
            && preg_match('~#|%0?\d*d|\{|[._-]$|\.[A-Za-z][A-Za-z0-9]{1,4}$~', $last) !== 1;
    }
}
