<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Names the encoding of colour from what files carry: code points, profiles, named attributes. */
final readonly class ColourEncoding
{
    /** Words by colour primaries and transfer characteristics. */
    private const CODE_POINTS = [
        1 => [13 => 'srgb', 1 => 'rec709', 6 => 'rec709', 14 => 'rec709', 15 => 'rec709'],
        9 => [
            1 => 'rec2020',
            6 => 'rec2020',
            14 => 'rec2020',
            15 => 'rec2020',
            16 => 'rec2100-pq',
            18 => 'rec2100-hlg',
        ],
        12 => [13 => 'display-p3'],
    ];

    /** What is written for an encoding of colour, in lower case and without what parts it, by its one word. */
    private const WORDS = [
        'srgb' => [
            'srgb', 'srgbtexture', 'iec6196621', 'srgbiec6196621', 'srgbiec61966', 'srgbdisplay', 'outputsrgb',
            'standardrgb', 'srgbencoded',
        ],
        'rec709' => [
            'rec709', 'bt709', 'itu709', 'iturbt709', 'r709', 'hd709', '709', 'hdtv709', 'hdtvrec709', 'itur709',
            'iturec709', 'rec709gamma24',
        ],
        'rec2020' => ['rec2020', 'bt2020', 'iturbt2020', '2020', 'uhd2020'],
        'linear' => [
            'linear', 'lin', 'scenelinear', 'linearrec709', 'linearsrgb', 'linrec709', 'linsrgb', 'sceneref',
            'scenereferred', 'linear10', 'lineargamma10', 'gamma10', 'linearlight', 'lineargamma', 'linearised',
            'linearized', 'rec709linear', 'srgblinear', 'linear(gamma10)',
        ],
        'dci-p3' => ['dcip3'],
        'display-p3' => ['p3', 'displayp3'],
        'rec601' => ['rec601', 'bt601'],
        'non-colour' => ['noncolour'],
        'non-color' => ['noncolor'],
    ];

    /** Those that are a word already. */
    private const PLAIN = ['log', 'pq', 'hlg', 'gamma22', 'gamma24', 'gamma18', 'bt1886', 'data', 'xyz', 'raw'];

    /** @return string|null null where the pair has no one word (ITU-T H.273, tables 2 and 3) */
    public static function fromCodePoints(int $primaries, int $transfer): ?string
    {
        return $transfer === 8 ? 'linear' : self::CODE_POINTS[$primaries][$transfer] ?? null;
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
        foreach (self::WORDS as $one => $several) {
            if (in_array($word, $several, true)) {
                return $one;
            }
        }

        return in_array($word, self::PLAIN, true) ? $word : strtolower($text);
    }
}
