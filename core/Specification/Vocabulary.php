<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Media\Kind;

/**
 * The words of the trade for what is told by a word. One that is not among them cannot be placed: it is not known
 * whether it means what is asked.
 */
final readonly class Vocabulary
{
    /** Words that a scene may well tell, beside those that can be asked. */
    private const MORE = [
        RequirementId::PICTURE_PROJECTION => [
            'cube',
            'cubic',
            'fisheye',
            'dome',
            'cylindrical',
            'orthographic',
            'parallel',
            'isometric',
        ],
        RequirementId::FORMAT_ALPHA => ['alpha'],
        RequirementId::FORMAT_COMPRESSION => ['lossy', 'jpeg2000', 'jpeg-ls', 'webp', 'ccitt', 'group4', 'htj2k'],
        RequirementId::FORMAT_SAMPLE => ['int', 'double'],
        RequirementId::FORMAT_CHROMA => ['4:1:1', '4:4:0', '4:1:0', '3:1:1'],
        RequirementId::FORMAT_KIND => [
            'gif', 'psd', 'hdr', 'cin', 'sgi', 'pict', 'svg', 'pdf', 'heic', 'avif', 'jp2', 'flv', 'wmv', 'mpg', 'mpeg',
            'ogg', 'mp3', 'aiff', 'flac', 'aac', 'ppm', 'pgm', 'pbm', 'iff', 'rla', 'rpf',
        ],
    ];

    private const CODECS = [
        'h264', 'hevc', 'prores', 'mjpeg', 'animation', 'png', 'ffv1', 'av1', 'vp8', 'vp9', 'raw', 'v210', 'mpeg1',
        'mpeg2', 'mpeg4', 'dv', 'dnxhd', 'dnxhr', 'theora', 'jpeg2000', 'vc1', 'wmv', 'h263', 'huffyuv', 'utvideo',
        'vvc', 'tiff', 'jpeg', 'gif',
    ];

    private const ENCODINGS = [
        'srgb', 'rec709', 'rec2020', 'rec601', 'linear', 'display-p3', 'dci-p3', 'raw', 'log', 'pq', 'hlg', 'gamma22',
        'gamma24', 'gamma18', 'bt1886', 'non-colour', 'non-color', 'data', 'xyz',
    ];

    /** @param  string  $word  as it is kept */
    public static function has(Descriptor $descriptor, string $word): bool
    {
        return match ($descriptor->type) {
            ValueType::Word => in_array($word, $descriptor->accepts->words, true)
                || in_array($word, self::MORE[$descriptor->id] ?? [], true),
            ValueType::Kind => Kind::tryFrom($word) !== null
                || in_array($word, self::MORE[RequirementId::FORMAT_KIND], true),
            ValueType::Codec => in_array(explode(' ', $word)[0], self::CODECS, true),
            ValueType::Encoding => in_array($word, self::ENCODINGS, true),
            default => true,
        };
    }
}
