<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Text\Text;

/** How a value is written, and so how it is read: each type makes one canonical text of everything people type. */
enum ValueType: string
{
    case Resolution = 'resolution';
    case Percent = 'percent';
    case Fraction = 'fraction';
    case Aspect = 'aspect';
    case Rate = 'rate';
    case Range = 'range';
    case Handles = 'handles';
    case Whole = 'whole number';
    case Number = 'number';
    case Size = 'size';
    case Kind = 'kind';
    case Channels = 'channels';
    case Word = 'word';
    case Text = 'text';
    case Pattern = 'pattern';
    case YesNo = 'yes or no';
    case OnOff = 'on or off';
    case Region = 'region';
    case Passes = 'passes';
    case Any = 'any';
    case Duration = 'duration';
    case Timecode = 'timecode';
    case Codec = 'codec';
    case NoneOrCount = 'none or a count';
    case Encoding = 'colour encoding';
    case Camera = 'camera';
    case BitRate = 'bit rate';
    case Black = 'none or frames';
    case Frozen = 'none, frames or a length';
    case Hold = 'frames at head and tail';
    case Cadence = 'cadence';
    case Reference = 'approved picture';
    case Interval = 'frames, seconds or a share of the rate';

    /**
     * The canonical text of one value.
     *
     * @param  list<string>  $words  what a Word may be; empty for any
     * @param  string  $example  a value as people type it, for whoever typed another
     *
     * @throws NotUnderstood|\PlainLedger\Core\Naming\PatternRefused
     */
    public function canonical(string $text, array $words = [], string $example = ''): string
    {
        $text = trim($text);

        return match ($this) {
            self::Resolution => (string) Resolution::parse($text),
            self::Percent => self::percent($text),
            self::Fraction => strtolower($text) === 'square' ? '1/1' : Fraction::writeFull(self::positive(Fraction::parse($text), $text)),
            self::Aspect => (string) AspectRatio::parse($text),
            self::Rate => (string) FrameRate::parse($text),
            self::Range => self::isOwnRange($text) ? 'timeline' : self::range($text),
            self::Handles, self::Hold => self::handles($text),
            self::Cadence => self::cadence($text),
            self::Interval => self::interval($text, $example),
            self::Whole => self::whole($text, $example),
            self::Number => Fraction::decimal(Fraction::parse($text, 'a number', $example === '' ? '1.5' : $example), 6),
            self::Size => (string) ByteSize::parse($text)->bytes,
            self::BitRate => (string) BitRate::parse($text)->bits,
            self::Kind => Kind::fromWord($text)->value ?? throw NotUnderstood::as('a format known here', $text, 'png, jpeg, exr or mp4'),
            self::Channels => Channels::write(Channels::parse($text)),
            self::Word => self::word($text, $words),
            self::Pattern => (string) NamePattern::parse($text),
            self::YesNo => self::truth($text, 'yes', 'no'),
            self::OnOff => self::truth($text, 'on', 'off'),
            self::Region => self::region($text),
            self::Duration => (string) Duration::parse($text),
            self::Timecode => self::timecode($text),
            self::Codec => self::codec($text),
            self::NoneOrCount => in_array(strtolower($text), ['none', 'no', 'off', '0'], true) ? 'none' : self::whole($text, $example),
            self::Encoding => self::encoding($text),
            // any camera will do, as long as it is one of the scene's
            self::Camera => preg_match('~^any\s+(?:scene\s+)?camera(?:s)?(?:\s+(?:of|in)\s+(?:the|its)\s+scene)?$~i', $text) === 1 ? '*' : $text,
            self::Black, self::Frozen => preg_match('~^(?:none|no|off|)$~i', $text) === 1 ? 'none' : self::range($text),
            self::Text, self::Passes, self::Any, self::Reference => $text,
        };
    }

    /** Whether it is text as people write it, in which commas and words of their own may stand. */
    public function isFreeText(): bool
    {
        return in_array($this, [self::Text, self::Any, self::Camera], true);
    }

    private static function isOwnRange(string $text): bool
    {
        return preg_match('~^(?:the\s+)?(?:(?:whole|full|entire)\s+)?(?:timeline|animation|(?:animation(?:’s|\'s)?\s+|scene(?:’s|\'s)?\s+|its\s+)?own(?:\s+range)?)$~iu', $text) === 1;
    }

    /** `01:00:00:00`; before the frames `;` for drop-frame, which `.` and `,` stand for too. */
    private static function timecode(string $text): string
    {
        if (preg_match('~^(\d{1,2}):(\d{2}):(\d{2})([:;.,])(\d{2,3})$~', $text, $m) !== 1 || (int) $m[1] > 23 || (int) $m[2] > 59 || (int) $m[3] > 59) {
            throw NotUnderstood::as('a timecode', $text, '01:00:00:00, or 01:00:00;00 for drop-frame');
        }

        return sprintf('%02d:%s:%s%s%s', (int) $m[1], $m[2], $m[3], $m[4] === ':' ? ':' : ';', $m[5]);
    }

    /** One word for the several that are written for one codec. */
    private static function codec(string $text): string
    {
        $word = strtolower((string) preg_replace(['~\([^)]*\)~', '~[\s._/-]+~'], '', $text));
        $word = (string) preg_replace(['~^(?:lib|video)(?=[a-z])~', '~(?:nvenc|videotoolbox|qsv|vaapi|amf|mf|cuvid|codec|encoder|video|8bit|10bit|main10|main|high10|high|baseline)$~'], '', $word);
        $word = (string) preg_replace('~(?:nvenc|videotoolbox|qsv|vaapi|amf|codec|encoder|video)$~', '', $word);

        return match (true) {
            preg_match('~^(?:nvenc|qsv|hardware)?(?:h264|avc1?|x264(?:rgb)?|mpeg4avc|mpeg4part10|openh264|mpeg4h264)(?:avc|mpeg4avc)?$~', $word) === 1 => 'h264',
            preg_match('~^(?:nvenc|qsv|hardware)?(?:h265|hevc|x265|hvc1|hev1)(?:hevc|h265)?$~', $word) === 1 => 'hevc',
            preg_match('~^ap(?:c[hnso]|4[hx])$~', $word) === 1 => self::proRes($word),
            preg_match('~prores~', $word) === 1 => self::proRes((string) preg_replace('~^.*?prores(?:ks|aw)?~', '', $word)),
            in_array($word, ['motionjpeg', 'mjpg', 'mjpeg', 'photojpeg', 'motionjpega', 'motionjpegb', 'jpegmotion'], true) => 'mjpeg',
            in_array($word, ['av1', 'av01', 'aomav1', 'aom', 'svtav1', 'rav1e', 'dav1d'], true) => 'av1',
            in_array($word, ['vp9', 'vp09', 'vpxvp9', 'vpx9'], true) => 'vp9',
            in_array($word, ['vp8', 'vp08', 'vpx', 'vpxvp8'], true) => 'vp8',
            in_array($word, ['rle', 'qtrle', 'animation', 'animationrle', 'quicktimeanimation', 'quicktimerle'], true) => 'animation',
            in_array($word, ['uncompressed', 'raw', 'none', 'no', 'off', 'nocompression', 'uncompressedrgb', 'uncompressedyuv', 'v210raw'], true) => 'raw',
            in_array($word, ['mpeg2', 'mpeg2v', 'm2v', 'mpeg2part2'], true) => 'mpeg2',
            in_array($word, ['mpeg4', 'mpeg4part2', 'mp4v', 'xvid', 'divx', 'mpeg4sp', 'mpeg4asp'], true) => 'mpeg4',
            default => $word,
        };
    }

    /** `prores`, `prores 4444`, `prores 422 hq` as one word each: `prores 422hq`. */
    private static function proRes(string $kind): string
    {
        $kind = ['standard' => '422', 'std' => '422', 'hq' => '422hq', 'lt' => '422lt', 'proxy' => '422proxy', 'apch' => '422hq', 'apcn' => '422', 'apcs' => '422lt', 'apco' => '422proxy', 'ap4h' => '4444', 'ap4x' => '4444xq', 'xq' => '4444xq', '422standard' => '422'][$kind] ?? $kind;

        return $kind === '' ? 'prores' : "prores {$kind}";
    }

    /** One word for the several that are written for one encoding of colour; others as typed, in lower case. */
    private static function encoding(string $text): string
    {
        $word = strtolower((string) preg_replace('~[\s._-]+~', '', $text));

        return match (true) {
            in_array($word, ['srgb', 'srgbtexture', 'iec6196621', 'srgbiec6196621', 'srgbiec61966', 'srgbdisplay', 'outputsrgb', 'standardrgb', 'srgbencoded'], true) => 'srgb',
            in_array($word, ['rec709', 'bt709', 'itu709', 'iturbt709', 'r709', 'hd709', '709', 'hdtv709', 'hdtvrec709', 'itur709', 'iturec709', 'rec709gamma24'], true) => 'rec709',
            in_array($word, ['rec2020', 'bt2020', 'iturbt2020', '2020', 'uhd2020'], true) => 'rec2020',
            in_array($word, ['linear', 'lin', 'scenelinear', 'linearrec709', 'linearsrgb', 'linrec709', 'linsrgb', 'sceneref', 'scenereferred', 'linear10', 'lineargamma10', 'gamma10', 'linearlight', 'lineargamma', 'linearised', 'linearized', 'rec709linear', 'srgblinear', 'linear(gamma10)'], true) => 'linear',
            in_array($word, ['p3', 'displayp3', 'dcip3'], true) => $word === 'dcip3' ? 'dci-p3' : 'display-p3',
            default => in_array($word, ['rec601', 'bt601', 'log', 'pq', 'hlg', 'gamma22', 'gamma24', 'gamma18', 'bt1886', 'data', 'xyz', 'raw', 'noncolour', 'noncolor'], true) ? str_replace(['noncolou', 'noncolor', 'bt601'], ['non-colou', 'non-color', 'rec601'], $word) : strtolower($text),
        };
    }

    private static function positive(\Brick\Math\BigRational $value, string $text): \Brick\Math\BigRational
    {
        return $value->isGreaterThan(0) ? $value : throw NotUnderstood::as('a number above zero', $text, '1/1 or 10/11');
    }

    private static function percent(string $text): string
    {
        $value = Fraction::parse(rtrim($text, "% \t"), 'a percentage');
        if ($value->isLessThanOrEqualTo(0) || $value->isGreaterThan(100_000)) {
            throw NotUnderstood::as('a percentage', $text, '100');
        }

        return Fraction::decimal($value, 6);
    }

    private static function range(string $text): string
    {
        $range = FrameRange::parse($text);
        if ($range->isEmpty()) {
            throw NotUnderstood::as('a frame range', $text, '1001-1096');
        }

        return (string) $range;
    }

    private static function handles(string $text): string
    {
        if (preg_match('~^(\d{1,5})(?:\s*(?:[,+/ ]|and)\s*(\d{1,5}))?$~', $text, $m) !== 1) {
            throw NotUnderstood::as('handles', $text, '8 or 8+8');
        }

        return (int) $m[1].'+'.(int) ($m[2] ?? $m[1]);
    }

    /** `every`, `2`, `on twos`, `2-3`, `2:3`. */
    private static function cadence(string $text): string
    {
        $plain = strtolower(trim((string) preg_replace('~^(?:drawn\s+)?on\s+|\s*frames?(?:\s+each)?$|\s*pull-?down$~i', '', $text)));
        $words = ['ones' => 'every', 'one' => 'every', '1' => 'every', 'each' => 'every', 'all' => 'every', 'every' => 'every', 'every frame' => 'every', 'twos' => '2', 'threes' => '3', 'fours' => '4'];
        if (isset($words[$plain])) {
            return $words[$plain];
        }
        if (preg_match('~^([1-9]\d?)(?:\s*[-:/]\s*([1-9]\d?))?$~', $plain, $m) !== 1) {
            throw NotUnderstood::as('a cadence', $text, 'every, 2 or 2-3');
        }

        return isset($m[2]) ? min((int) $m[1], (int) $m[2]).'-'.max((int) $m[1], (int) $m[2]) : $m[1];
    }

    /** A count of frames, or exact seconds or a share of the rate: `12`, `1/2 s`, `1/2 rate`. */
    private static function interval(string $text, string $example): string
    {
        $plain = strtolower($text);
        $plain = (string) preg_replace(['~^(?:every|each)\s+~', '~^half\b~', '~^(?:a\s+)?quarter\b~', '~^(?:twice|double)\b~'], ['', '1/2', '1/4', '2'], $plain);
        if (preg_match('~^(\S+)\s*(?:s|secs?|seconds?)(?:\s+of\s+video)?$~', $plain, $m) === 1 || preg_match('~^(a|one)\s+second$|^second$~', $plain) === 1) {
            return Fraction::write(self::positive(Fraction::parse($m[1] ?? '1'), $text)).' s';
        }
        if (preg_match('~^(\d+(?:\.\d+)?)\s*%\s*(?:of\s+)?(?:the\s+)?(?:frame\s*)?(?:rate|fps)$~', $plain, $m) === 1) {
            return Fraction::write(Fraction::parse($m[1])->dividedBy(100)->simplified()).' rate';
        }
        if (preg_match('~^(?:(\S+)\s*(?:[x×*]\s*|of\s+)?)?(?:the\s+)?(?:frame\s*)?(?:rate|fps)$~', $plain, $m) === 1) {
            return Fraction::write(self::positive(Fraction::parse(($m[1] ?? '') === '' ? '1' : $m[1]), $text)).' rate';
        }

        return self::whole($plain, $example);
    }

    private static function whole(string $text, string $example): string
    {
        $plain = (string) preg_replace('~\s*(frames?|bits?|-bit|bit)$~i', '', $text);
        if (preg_match('~^\d{1,12}(\.0+)?$~', $plain) !== 1) {
            throw NotUnderstood::as('a whole number', $text, preg_match('~^\d+$~', $example) === 1 ? $example : '16');
        }

        return (string) BigDecimal::of($plain)->toInt();
    }

    /** @param  list<string>  $words */
    private static function word(string $text, array $words): string
    {
        $text = strtolower($text);
        if ($words !== [] && ! in_array($text, $words, true)) {
            throw NotUnderstood::because('“'.mb_strimwidth(Text::shown($text), 0, 60, '…').'” is not one of '.implode(', ', $words).'.');
        }

        return $text;
    }

    private static function truth(string $text, string $yes, string $no): string
    {
        $truth = Spellings::truth($text) ?? throw NotUnderstood::as('yes or no', $text, $yes);

        return $truth ? $yes : $no;
    }

    private static function region(string $text): string
    {
        $text = strtolower($text);
        if (in_array($text, ['full', 'off', 'no', 'false', 'none', '0', 'disabled', ''], true)) {
            return 'full';
        }
        if (in_array($text, ['on', 'yes', 'true', '1', 'enabled'], true)) {
            return 'on';
        }
        if (preg_match('~^(-?\d{1,7})[,;\s]+(-?\d{1,7})[,;\s]+(\d{1,7})[,;\sx]+(\d{1,7})$~', $text, $m) !== 1) {
            throw NotUnderstood::as('a region', $text, 'full, or x,y,width,height');
        }

        return (int) $m[1].','.(int) $m[2].','.(int) $m[3].','.(int) $m[4];
    }
}
