<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Readers\Codecs\CodecCode;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\Readers\WaveFormat;

/** One track of a Matroska file, as its entry describes it (RFC 9559, 5.1.4.1). */
final readonly class MatroskaTrack
{
    public const PICTURES = 1;

    public const SOUND = 2;

    private const NUMBER = 0xD7;

    private const TYPE = 0x83;

    private const ENABLED = 0xB9;

    private const DEFAULT_DURATION = 0x23E383;

    private const CODEC = 0x86;

    private const PRIVATE = 0x63A2;

    private const VIDEO = 0xE0;

    private const AUDIO = 0xE1;

    private const COLOUR = 0x55B0;

    private const PROJECTION = 0x7670;

    private const MASTERS = [self::VIDEO, self::AUDIO, self::COLOUR, self::PROJECTION];

    private const FLOATS = [0xB5, 0x78B5];

    private const TEXTS = [self::CODEC, self::PRIVATE, 0x2EB524];

    private const NANOSECONDS = 1_000_000_000;

    /** @param  array<int, int|float|string>  $values  by the element's number */
    private function __construct(private array $values) {}

    public static function read(Ebml $ebml, EbmlElement $entry): self
    {
        return new self(self::valuesIn($ebml, $entry, 0));
    }

    /** @return array<int, int|float|string> */
    private static function valuesIn(Ebml $ebml, EbmlElement $element, int $depth): array
    {
        $values = [];
        foreach ($ebml->within($element->body, $element->end ?? $element->body) as $inner) {
            if (in_array($inner->id, self::MASTERS, true) && $depth < 3) {
                $values += self::valuesIn($ebml, $inner, $depth + 1);

                continue;
            }
            $values[$inner->id] ??= match (true) {
                in_array($inner->id, self::FLOATS, true) => $ebml->float($inner),
                in_array($inner->id, self::TEXTS, true) => $ebml->data($inner),
                default => $ebml->whole($inner),
            };
        }

        return $values;
    }

    private function whole(int $id, int $otherwise = 0): int
    {
        $value = $this->values[$id] ?? $otherwise;

        return is_int($value) ? $value : $otherwise;
    }

    private function text(int $id): string
    {
        return rtrim((string) ($this->values[$id] ?? ''), $id === self::PRIVATE ? '' : "\0");
    }

    public function number(): int
    {
        return $this->whole(self::NUMBER);
    }

    public function type(): int
    {
        return $this->whole(self::TYPE);
    }

    public function isEnabled(): bool
    {
        return $this->whole(self::ENABLED, 1) !== 0;
    }

    /** Nanoseconds that each picture stands; null where it does not say. */
    public function defaultDuration(): ?int
    {
        $told = $this->whole(self::DEFAULT_DURATION);

        return $told > 0 ? $told : null;
    }

    /** The rate that it comes to: nanoseconds are whole, so that one part in a hundred thousand is none. */
    public function rate(): ?FrameRate
    {
        $each = $this->defaultDuration();
        if ($each === null) {
            return null;
        }
        $exact = BigRational::nd(self::NANOSECONDS, $each);
        foreach ([1000, 1001] as $part) {
            $whole = $exact->multipliedBy(BigRational::nd($part, 1000))->toScale(0, \Brick\Math\RoundingMode::HALF_UP);
            $near = $whole->toBigRational()->multipliedBy(BigRational::nd(1000, $part));
            if (
                ! $whole->isZero()
                && $exact->minus($near)->abs()->isLessThan($near->multipliedBy(BigRational::nd(1, 100_000)))
            ) {
                return FrameRate::of($whole->toInt() * 1000, $part);
            }
        }

        return FrameRate::of(self::NANOSECONDS, $each);
    }

    public function width(): int
    {
        return max(0, $this->whole(0xB0) - $this->whole(0x54CC) - $this->whole(0x54DD));
    }

    public function height(): int
    {
        return max(0, $this->whole(0xBA) - $this->whole(0x54AA) - $this->whole(0x54BB));
    }

    /** By the size it is to be shown at, in pixels or as a ratio. */
    public function pixelAspect(): ?BigRational
    {
        [$across, $down] = [$this->whole(0x54B0), $this->whole(0x54BA)];
        [$width, $height] = [$this->width(), $this->height()];
        $isShape = in_array($this->whole(0x54B2), [0, 3], true);
        if (! $isShape || $width < 1 || $height < 1 || ($across < 1 && $down < 1)) {
            return null;
        }

        return BigRational::nd(($across ?: $width) * $height, ($down ?: $height) * $width)->simplified();
    }

    public function scan(): ?string
    {
        return match ($this->whole(0x9A)) {
            1 => 'interlaced',
            2 => 'progressive',
            default => null,
        };
    }

    public function hasAlpha(): bool
    {
        return $this->whole(0x53C0) === 1;
    }

    public function projection(): ?string
    {
        $isStereo = $this->whole(0x53B8) > 0;

        return match ($this->whole(0x7671)) {
            1 => $isStereo ? 'lat-long stereo' : 'lat-long',
            2 => 'cube',
            default => null,
        };
    }

    /** @return array{int, int}|null colour primaries and transfer */
    public function codePoints(): ?array
    {
        $points = [$this->whole(0x55BB, 2), $this->whole(0x55BA, 2)];

        return $points === [2, 2] ? null : $points;
    }

    public function codec(): CodecHeaders
    {
        $name = $this->text(self::CODEC);
        $private = $this->text(self::PRIVATE);
        if ($name === 'V_MS/VFW/FOURCC') {
            $code = substr($private, 16, 4);

            return new CodecHeaders(
                CodecCode::picture($code),
                $code,
                substr($private, 40),
                ord($private[14] ?? "\0"),
            );
        }
        // pictures as the elder of the box formats describes them, by its sample entry
        if (preg_match('~^V_Q[A-Z]+E$~', $name) === 1) {
            $code = strlen($private) > 8 ? substr($private, 4, 4) : $private;

            return new CodecHeaders(CodecCode::picture($code), $code);
        }
        $codec = CodecCode::named($name);
        $code = match ($codec) {
            'prores' => substr($private, 0, 4),
            'raw' => $this->text(0x2EB524),
            default => '',
        };

        return new CodecHeaders($codec, $code, $codec === 'vp9' || $codec === 'prores' ? '' : $private);
    }

    public function sound(): SoundTrack
    {
        $name = $this->text(self::CODEC);
        if ($name === 'A_MS/ACM') {
            return WaveFormat::read($this->text(self::PRIVATE));
        }
        $codec = CodecCode::sound($name);
        $rate = $this->values[0x78B5] ?? $this->values[0xB5] ?? 8000.0;
        $bits = $this->whole(0x6264);

        return new SoundTrack(
            (int) round((float) $rate),
            $this->whole(0x9F, 1),
            str_starts_with($codec, 'pcm') && $bits > 0 ? $bits : null,
            $codec,
        );
    }
}
