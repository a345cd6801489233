<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Mxf;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;

/** The description of the pictures in an MXF file (SMPTE ST 377-1, annex G.2). */
final readonly class MxfPicture
{
    /** Descriptors of pictures: plain, by light and colour difference, by red, green and blue, of MPEG. */
    public const KINDS = [0x51, 0x28, 0x29, 0x27];

    private const COLOUR = 0x28;

    private const RGBA = 0x29;

    /** Codecs by what their label says after its register (SMPTE ST 400 labels). */
    private const CODINGS = [
        "\x04\x01\x02\x02\x01\x31" => 'h264', "\x04\x01\x02\x02\x01\x32" => 'h264',
        "\x04\x01\x02\x02\x01\x33" => 'h264', "\x04\x01\x02\x02\x01\x20" => 'mpeg4',
        "\x04\x01\x02\x02\x01\x10" => 'mpeg1', "\x04\x01\x02\x02\x01" => 'mpeg2', "\x04\x01\x02\x02\x02" => 'dv',
        "\x04\x01\x02\x02\x03\x01" => 'jpeg2000', "\x04\x01\x02\x02\x03\x06" => 'prores',
        "\x04\x01\x02\x02\x03\x09" => 'ffv1', "\x04\x01\x02\x02\x71" => 'dnxhd', "\x04\x01\x02\x01" => 'raw',
    ];

    /** The same by the label of what wraps them. */
    private const WRAPPINGS = [
        "\x01" => 'mpeg2', "\x02" => 'dv', "\x04" => 'mpeg2', "\x05" => 'raw', "\x0C" => 'jpeg2000',
        "\x10" => 'h264', "\x11" => 'dnxhd', "\x1C" => 'prores', "\x23" => 'ffv1',
    ];

    /** By how much more seldom colour is kept, across and down. */
    private const CHROMA = ['1 by 1' => '4:4:4', '2 by 1' => '4:2:2', '2 by 2' => '4:2:0', '4 by 1' => '4:1:1'];

    private const PRORES = ['apco', 'apcs', 'apcn', 'apch', 'ap4h', 'ap4x'];

    public function __construct(private MxfSet $set) {}

    public function rate(): ?FrameRate
    {
        $rate = $this->set->fraction(0x3001);

        return $rate === null ? null : FrameRate::parse((string) $rate);
    }

    public function count(): ?int
    {
        $count = $this->set->whole(0x3002);

        return $count !== null && $count >= 0 ? $count : null;
    }

    public function width(): int
    {
        return $this->side(0x3209, 0x3203);
    }

    /** Fields that are kept apart are half as high as the picture. */
    public function height(): int
    {
        return $this->side(0x3208, 0x3202) * ($this->set->whole(0x320C) === 1 ? 2 : 1);
    }

    private function side(int $shown, int $stored): int
    {
        $side = $this->set->whole($shown) ?? 0;
        $side = $side > 0 ? $side : $this->set->whole($stored) ?? 0;

        return $side > 0 && $side < 1 << 20 ? $side : 0;
    }

    public function pixelAspect(): ?BigRational
    {
        $shape = $this->set->fraction(0x320E);
        [$width, $height] = [$this->width(), $this->height()];
        if ($shape === null || $width < 1 || $height < 1) {
            return null;
        }
        $aspect = $shape->multipliedBy(BigRational::nd($height, $width))->simplified();

        return $aspect->minus(1)->abs()->isLessThan(BigRational::nd(1, 1000)) ? BigRational::one() : $aspect;
    }

    public function scan(): ?string
    {
        return match ($this->set->whole(0x320C)) {
            0, 4 => 'progressive',
            1, 3 => 'interlaced',
            default => null,
        };
    }

    /** @return array{int, int}|null colour primaries and transfer, as numbers of ITU-T H.273 */
    public function codePoints(): ?array
    {
        $transfer = match (substr($this->set->bytes(0x3210), 8, 6)) {
            "\x04\x01\x01\x01\x01\x02" => 1,
            "\x04\x01\x01\x01\x01\x0A" => 16,
            "\x04\x01\x01\x01\x01\x0B" => 18,
            "\x04\x01\x01\x01\x01\x06" => 8,
            default => null,
        };
        $primaries = match (substr($this->set->bytes(0x3219), 8, 6)) {
            "\x04\x01\x01\x01\x03\x03" => 1,
            "\x04\x01\x01\x01\x03\x04" => 9,
            default => null,
        };

        return $transfer === null || $primaries === null ? null : [$primaries, $transfer];
    }

    public function codec(): CodecHeaders
    {
        $coding = substr($this->set->bytes(0x3201), 8);
        $codec = null;
        foreach (self::CODINGS as $label => $name) {
            $codec ??= $coding !== '' && str_starts_with($coding, $label) ? $name : null;
        }
        $codec ??= self::WRAPPINGS[substr($this->set->bytes(0x3004), 13, 1)] ?? 'unknown';
        $code = $codec === 'prores' ? self::PRORES[ord($coding[6] ?? "\0") - 1] ?? '' : '';

        return new CodecHeaders($codec, $code);
    }

    private static function depth(int $bits): ?int
    {
        return $bits > 0 && $bits <= 32 ? $bits : null;
    }

    /** What the description itself tells of the samples. */
    public function facts(): CodecFacts
    {
        if ($this->set->kind === self::RGBA) {
            $layout = $this->set->bytes(0x3401);
            $hasAlpha = str_contains($layout, 'A');

            return new CodecFacts(
                null,
                self::depth(ord($layout[1] ?? "\0")),
                '4:4:4',
                $hasAlpha ? ['R', 'G', 'B', 'A'] : ['R', 'G', 'B'],
                $this->scan(),
            );
        }
        $chroma = $this->set->whole(0x3302).' by '.($this->set->whole(0x3308) ?? 1);

        return new CodecFacts(
            null,
            self::depth($this->set->whole(0x3301) ?? 0),
            self::CHROMA[$chroma] ?? null,
            in_array($this->set->kind, [self::COLOUR, 0x51], true) ? ['R', 'G', 'B'] : null,
            $this->scan(),
        );
    }
}
