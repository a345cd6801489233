<?php

declare(strict_types=1);

namespace PlainLedger\Core\Proposal;

use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Delivers;

/** A name with its number, version, shot and extension as pieces. */
final readonly class NameProposal
{
    /**
     * @param  string  $pattern  the pattern that is proposed
     * @param  array<string, int|string>  $values  with the version where the name has one
     */
    private function __construct(public string $pattern, public array $values) {}

    /**
     * @param  string  $name  `#` for digits of the frame number, a zero byte where the pass stands
     * @param  array<string, int|string>  $values
     */
    public static function of(string $name, Sequence $sequence, Kind $kind, Delivers $delivers, array $values): self
    {
        $extension = Extension::of($name);
        $pattern = strtr($name, ['{' => '{{', '}' => '}}']);
        if ($extension === $kind->usualExtension()) {
            $pattern = substr($pattern, 0, -strlen($extension)).'{ext}';
        }
        $pattern = self::numbered($pattern, $sequence, $delivers);
        [$pattern, $version] = self::versioned($pattern, isset($values['version']) ? (int) $values['version'] : null);
        $values += $version === null ? [] : ['version' => $version];
        $shot = (string) ($values['shot'] ?? '');
        if ($shot !== '' && str_starts_with($pattern, $shot)) {
            $pattern = '{shot}'.substr($pattern, strlen($shot));
        }
        try {
            return new self((string) NamePattern::parse(str_replace("\0", '{pass}', $pattern)), $values);
        } catch (PatternRefused) {
            return new self($delivers === Delivers::Frames ? '{shot}.{frame:4}.{ext}' : '{shot}.{ext}', $values);
        }
    }

    /** A number that counts nothing is text. */
    private static function numbered(string $pattern, Sequence $sequence, Delivers $delivers): string
    {
        if ($sequence->column === null) {
            return $pattern;
        }
        $hashes = str_repeat('#', $sequence->digits);
        if ($delivers !== Delivers::Frames) {
            $number = str_pad((string) $sequence->numbers[0], $sequence->digits, '0', STR_PAD_LEFT);

            return str_replace($hashes, $number, $pattern);
        }
        $at = strrpos($pattern, $hashes);
        $piece = $sequence->digits === 1 ? '{frame}' : "{frame:{$sequence->digits}}";

        return $at === false ? $pattern : substr_replace($pattern, $piece, $at, strlen($hashes));
    }

    /** @return array{string, int|null} with the version as a piece, where it is the one of the other names */
    private static function versioned(string $pattern, ?int $known): array
    {
        if (preg_match('~(?<![A-Za-z0-9])v(\d{2,4})(?!\d)~', $pattern, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return [$pattern, null];
        }
        [$digits, $at] = $m[1];
        $version = $known ?? (int) $digits;

        return $version === (int) $digits
            ? [substr_replace($pattern, '{version:'.strlen($digits).'}', $at, strlen($digits)), $version]
            : [$pattern, $version];
    }
}
