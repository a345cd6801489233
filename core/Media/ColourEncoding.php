<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Names the encoding of colour from what files carry: code points, profiles, named attributes. */
final readonly class ColourEncoding
{
    /** @return string|null null where the pair has no one word (ITU-T H.273, tables 2 and 3) */
    public static function fromCodePoints(int $primaries, int $transfer): ?string
    {
        return match (true) {
            $transfer === 8 => 'linear',
            $primaries === 1 && $transfer === 13 => 'srgb',
            $primaries === 1 && in_array($transfer, [1, 6, 14, 15], true) => 'rec709',
            $primaries === 9 && in_array($transfer, [1, 6, 14, 15], true) => 'rec2020',
            $primaries === 9 && $transfer === 16 => 'rec2100-pq',
            $primaries === 9 && $transfer === 18 => 'rec2100-hlg',
            $primaries === 12 && $transfer === 13 => 'display-p3',
            default => null,
        };
    }

    /**
     * @param  string  $name  as the file calls it
     * @param  string  $profile  the profile's bytes as far as they were read (ICC.1, description tag)
     */
    public static function fromProfile(string $name, string $profile): ?string
    {
        // a description is ASCII in version 2 and UTF-16 in version 4
        $text = "{$name} ".str_replace("\0", '', substr($profile, 0, 4096));

        return match (true) {
            preg_match(
                '~linear[ _-]*(?:srgb|rec|bt)|(?:srgb|rec\.? ?709)[ _-]*linear|gamma ?1\.0\b~i',
                $text,
            ) === 1 => 'linear',
            preg_match('~display[ _-]?p3~i', $text) === 1 => 'display-p3',
            preg_match('~sRGB|IEC ?61966-2[.-]1~', $text) === 1 => 'srgb',
            preg_match('~(?:rec|bt)\.? ?709~i', $text) === 1 => 'rec709',
            preg_match('~(?:rec|bt)\.? ?2020~i', $text) === 1 => 'rec2020',
            default => null,
        };
    }

    /** @param  array<string, string>  $texts named attributes of a file */
    public static function inTexts(array $texts): ?string
    {
        foreach ($texts as $name => $value) {
            $key = strtolower((string) preg_replace('~^.*:|[^A-Za-z]~', '', $name));
            if (
                in_array($key, ['colorspace', 'colourspace', 'colorencoding', 'colourencoding'], true)
                && trim($value) !== ''
            ) {
                return self::canonical(trim($value));
            }
        }

        return null;
    }

    /** One word for the several that are written for one encoding of colour; others as typed, in lower case. */
    public static function canonical(string $text): string
    {
        $word = strtolower((string) preg_replace('~[\s._-]+~', '', $text));

        return match (true) {
            in_array(
                $word,
                [
                    'srgb', 'srgbtexture', 'iec6196621', 'srgbiec6196621', 'srgbiec61966', 'srgbdisplay', 'outputsrgb',
                    'standardrgb', 'srgbencoded',
                ],
                true,
            ) => 'srgb',
            in_array(
                $word,
                [
                    'rec709', 'bt709', 'itu709', 'iturbt709', 'r709', 'hd709', '709', 'hdtv709', 'hdtvrec709',
                    'itur709', 'iturec709', 'rec709gamma24',
                ],
                true,
            ) => 'rec709',
            in_array($word, ['rec2020', 'bt2020', 'iturbt2020', '2020', 'uhd2020'], true) => 'rec2020',
            in_array(
                $word,
                [
                    'linear', 'lin', 'scenelinear', 'linearrec709', 'linearsrgb', 'linrec709', 'linsrgb', 'sceneref',
                    'scenereferred', 'linear10', 'lineargamma10', 'gamma10', 'linearlight', 'lineargamma', 'linearised',
                    'linearized', 'rec709linear', 'srgblinear', 'linear(gamma10)',
                ],
                true,
            ) => 'linear',
            in_array($word, ['p3', 'displayp3', 'dcip3'], true) => $word === 'dcip3' ? 'dci-p3' : 'display-p3',
            default => in_array(
                $word,
                [
                    'rec601', 'bt601', 'log', 'pq', 'hlg', 'gamma22', 'gamma24', 'gamma18', 'bt1886', 'data', 'xyz',
                    'raw', 'noncolour', 'noncolor',
                ],
                true,
            )
                ? str_replace(['noncolou', 'noncolor', 'bt601'], ['non-colou', 'non-color', 'rec601'], $word)
                : strtolower($text),
        };
    }
}
