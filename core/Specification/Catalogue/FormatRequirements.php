<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Catalogue;

use PlainLedger\Core\Specification\Accepts;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Wording;

/** What can be asked of files as their format has it. */
final readonly class FormatRequirements
{
    private const COMPRESSIONS = [
        'none', 'rle', 'zip', 'zips', 'piz', 'pxr24', 'b44', 'b44a', 'dwaa', 'dwab', 'htj2k256', 'htj2k32', 'lzw',
        'deflate', 'packbits', 'jpeg', 'ccitt', 'ccitt-g3', 'ccitt-g4', 'jbig', 'jpeg2000', 'jpeg-xl', 'lerc', 'lzma',
        'zstd', 'webp', 'lossy', 'lossless',
    ];

    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::FORMAT_KIND,
                Group::Format,
                'Format',
                ValueType::Kind,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Each file is %s.',
                    also: 'file type, extension, png, exr, jpeg, tiff, mp4, mov, image format',
                ),
                new Accepts('png', several: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_CODEC,
                Group::Format,
                'Codec',
                ValueType::Codec,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('The codec is %s.', also: 'h264, hevc, prores, encoder, compression'),
                new Accepts('h264', several: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_BIT_DEPTH,
                Group::Format,
                'Bit depth',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('A channel has %s bits.', also: 'bits, 8 bit, 16 bit, half, colour depth'),
                new Accepts('16', several: true, least: 1, most: 128),
            ),
            new Descriptor(
                RequirementId::FORMAT_SAMPLE,
                Group::Format,
                'Sample type',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Frames],
                new Wording('Samples are stored as %s.', also: 'float, half float, integer, data type'),
                new Accepts('float', words: ['uint', 'float'], several: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_CHANNELS,
                Group::Format,
                'Channels',
                ValueType::Channels,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('The channels are %s.', also: 'rgb, rgba, grey, greyscale, colour mode'),
                new Accepts('RGBA'),
            ),
            new Descriptor(
                RequirementId::FORMAT_ALPHA,
                Group::Format,
                'Alpha',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Alpha: %s.',
                    also: 'transparency, matte, premultiplied, straight, background',
                    exact: ['none' => 'There is no alpha.', 'any' => 'There is alpha, of either kind.'],
                ),
                new Accepts('straight', words: ['none', 'straight', 'premultiplied', 'any']),
            ),
            new Descriptor(
                RequirementId::FORMAT_COMPRESSION,
                Group::Format,
                'Compression',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording(
                    'Compressed by %s.',
                    also: 'zip, piz, lossless, lzw',
                    exact: ['lossless' => 'Compression loses nothing.'],
                ),
                new Accepts('zip', words: self::COMPRESSIONS, several: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_QUALITY,
                Group::Format,
                'Compression quality',
                ValueType::Whole,
                [ReadFrom::Scene, ReadFrom::Frames],
                new Wording('Quality is %s.', also: 'jpeg quality, lossy'),
                new Accepts('90', bounds: true, least: 1, most: 100, plain: 'min'),
            ),
            new Descriptor(
                RequirementId::FORMAT_CHROMA,
                Group::Format,
                'Chroma',
                ValueType::Word,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('Chroma is sampled %s.', also: 'subsampling, 4:2:0, 4:2:2, 4:4:4, yuv'),
                new Accepts('4:2:0', words: ['4:4:4', '4:2:2', '4:2:0'], several: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_BIT_RATE,
                Group::Format,
                'Bit rate',
                ValueType::BitRate,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('The bit rate is %s.', also: 'bitrate, mbps, data rate, bandwidth'),
                new Accepts('8 Mbit/s', bounds: true),
            ),
            new Descriptor(
                RequirementId::FORMAT_KEYFRAME_INTERVAL,
                Group::Format,
                'Keyframe interval',
                ValueType::Interval,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording('Keyframes are %s apart.', also: 'gop, i-frames, keyframes, seeking'),
                new Accepts('48', bounds: true, least: 1, most: 1_000_000, plain: 'max'),
            ),
            new Descriptor(
                RequirementId::FORMAT_B_FRAMES,
                Group::Format,
                'B-frames',
                ValueType::NoneOrCount,
                [ReadFrom::Scene, ReadFrom::Movie],
                new Wording(
                    'B-frames in a row: %s.',
                    also: 'bidirectional, b frames, gop',
                    exact: ['none' => 'There are no B-frames.'],
                ),
                new Accepts('none', bounds: true, plain: 'max'),
            ),
            new Descriptor(
                RequirementId::FORMAT_FILE_SIZE,
                Group::Format,
                'File size',
                ValueType::ByteSize,
                [ReadFrom::Scene, ReadFrom::Frames, ReadFrom::Movie],
                new Wording('A file has %s.', also: 'megabytes, mb, size cap, largest file'),
                new Accepts('25 MB', bounds: true, plain: 'max'),
            ),
            new Descriptor(
                RequirementId::FORMAT_INDEX,
                Group::Format,
                'Index',
                ValueType::Word,
                [ReadFrom::Movie],
                new Wording('The index stands %s.', also: 'fast start, streaming, progressive download'),
                new Accepts('first', words: ['first']),
            ),
        ];
    }
}
