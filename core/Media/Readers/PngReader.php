<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\Text;

/** PNG (ISO/IEC 15948): header, the chunks before the picture, the end mark; in full, every chunk's CRC. */
final readonly class PngReader implements Reader
{
    private const END = "\0\0\0\0IEND\xAE\x42\x60\x82";

    private const TAIL = 64;

    /** So many chunks are followed at most: quickly where the end mark is not at the end, and in full. */
    private const MOST_STEPS = 100_000;

    private const MOST_STEPS_IN_FULL = 2_000_000;

    /** More chunks than this before the picture are a lie. */
    private const MOST_CHUNKS = 4000;

    private const LARGEST_TEXT = 8192;

    private const LARGEST_PACKET = 65_536;

    public function kind(): Kind
    {
        return Kind::Png;
    }

    public function headerKey(string $head): ?string
    {
        $at = strpos($head, 'IDAT');

        return $at === false ? null : substr($head, 0, $at - 4);
    }

    public function tailDamage(ByteSource $source, string $head): ?FileDamaged
    {
        $size = $source->size();
        $tail = $size <= strlen($head) ? substr($head, -self::TAIL) : $source->read($size - self::TAIL, self::TAIL);
        if (str_ends_with($tail, self::END)) {
            return null;
        }
        // bytes after the end mark harm nobody; the chunks say where it stands
        if (str_contains($tail, self::END) || $this->walk($source, false) !== null) {
            return null;
        }

        return FileDamaged::cutShort('the end mark is missing after '.$size.' bytes');
    }

    public function read(ByteSource $source, string $head, ScanDepth $depth): MediaFacts
    {
        $this->checkHeader($head);
        $values = unpack('Nwidth/Nheight/Cdepth/Ccolour/Cpacking/Cfilter/Cinterlace', $head, 16);
        /** @var array{width: int, height: int, depth: int, colour: int, packing: int, filter: int, interlace: int} $values */
        $facts = $this->facts($values, $this->chunksBeforePicture($source, $head));
        try {
            $damaged = $depth === ScanDepth::Full ? $this->bodyDamage($source) : $this->tailDamage($source, $head);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->getMessage());
    }

    /** @throws FileTooLarge */
    private function bodyDamage(ByteSource $source): ?FileDamaged
    {
        try {
            return $this->walk($source, true) === null
                ? FileDamaged::cutShort('the end mark is missing after '.$source->size().' bytes')
                : null;
        } catch (FileDamaged $damaged) {
            return $damaged;
        }
    }

    private function checkHeader(string $head): void
    {
        if (strlen($head) < 33) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.strlen($head).' bytes');
        }
        if (substr($head, 8, 8) !== "\0\0\0\x0DIHDR") {
            throw FileDamaged::header('the first chunk is not the image header');
        }
        if (hash('crc32b', substr($head, 12, 17), true) !== substr($head, 29, 4)) {
            throw FileDamaged::checksum('the image header fails its CRC');
        }
        $allowed = [0 => [1, 2, 4, 8, 16], 2 => [8, 16], 3 => [1, 2, 4, 8], 4 => [8, 16], 6 => [8, 16]];
        if (! in_array(ord($head[24]), $allowed[ord($head[25])] ?? [], true)) {
            throw FileDamaged::header('the image header names a colour type and depth that PNG does not have');
        }
        foreach ([16, 20] as $at) {
            $side = self::uint32($head, $at);
            if ($side < 1 || $side > Resolution::LARGEST) {
                throw FileDamaged::header("the image header names an impossible size, a side of {$side} pixels");
            }
        }
    }

    /**
     * @return array<string, mixed> what the chunks before the picture tell: density, transparent, header, frames, colour, projection
     */
    private function chunksBeforePicture(ByteSource $source, string $head): array
    {
        $found = ['header' => []];
        $at = 33;
        for ($i = 0; $i < self::MOST_CHUNKS; $i++) {
            $lead = $this->slice($source, $head, $at, 8);
            if (strlen($lead) < 8) {
                break;
            }
            $length = self::uint32($lead, 0);
            $type = substr($lead, 4, 4);
            if ($type === 'IDAT' || $type === 'IEND') {
                break;
            }
            if ($length > 0x7FFFFFFF || preg_match('~^[A-Za-z]{4}$~', $type) !== 1) {
                break;
            }
            $data = $length <= ($type === 'iTXt' ? self::LARGEST_PACKET : self::LARGEST_TEXT)
                ? $this->slice($source, $head, $at + 8, $length)
                : '';
            $found = $this->chunk($type, $data, $length, $found);
            $at += 12 + $length;
        }

        return $found;
    }

    /**
     * @param  array<string, mixed>  $found
     * @return array<string, mixed>
     */
    private function chunk(string $type, string $data, int $length, array $found): array
    {
        /** @var array<string, string> $header */
        $header = $found['header'];
        switch (true) {
            case $type === 'pHYs' && strlen($data) === 9:
                [$x, $y] = [self::uint32($data, 0), self::uint32($data, 4)];
                $found['density'] = [$x, $y];
                if (ord($data[8]) === 1 && $x > 0) {
                    // 39.37 pixels a metre are one an inch
                    $found['ppi'] = intdiv($x * 254 + 5000, 10_000);
                    $header['density'] = "{$found['ppi']} ppi";
                }
                break;
            case $type === 'tRNS':
                $found['transparent'] = true;
                break;
            case $type === 'sRGB':
                $header['colour'] = 'sRGB';
                $found['colour'] = 'srgb';
                break;
            case $type === 'cICP' && strlen($data) === 4:
                // code points of ITU-T H.273: colour primaries and transfer characteristics
                $header['colour code points'] = ord($data[0]).'/'.ord($data[1]);
                $found['colour'] = ColourEncoding::fromCodePoints(ord($data[0]), ord($data[1]))
                    ?? $found['colour']
                    ?? null;
                break;
            case $type === 'gAMA' && strlen($data) === 4:
                $header['gamma'] = rtrim(rtrim(number_format(self::uint32($data, 0) / 100000, 5, '.', ''), '0'), '.');
                // a gamma alone names an encoding only where it is that of sRGB as PNG writes it, or none at all
                $found['gamma'] = match (self::uint32($data, 0)) {
                    45455 => 'srgb', 100_000 => 'linear', default => null,
                };
                break;
            case $type === 'iCCP':
                $header['colour profile'] = Text::shown(substr($data, 0, (int) strpos($data."\0", "\0")));
                $found['profile'] = ColourEncoding::fromProfile(
                    $header['colour profile'],
                    str_contains($data, "\0")
                        ? (string) @gzuncompress(substr($data, strpos($data, "\0") + 2), 1 << 20)
                        : '',
                );
                break;
            case $type === 'acTL' && strlen($data) === 8:
                $header['animation frames'] = (string) self::uint32($data, 0);
                break;
            case $type === 'tEXt' && $length <= self::LARGEST_TEXT && str_contains($data, "\0"):
                [$key, $value] = explode("\0", $data, 2);
                $header = self::text($header, $key, mb_convert_encoding($value, 'UTF-8', 'ISO-8859-1') ?: '');
                break;
            case $type === 'iTXt' && preg_match('~^([^\0]{1,79})\0(.)(.)[^\0]*\0[^\0]*\0(.*)$~s', $data, $m) === 1:
                $value = $m[2] === "\1" ? (string) @gzuncompress($m[4], 1 << 16) : $m[4];
                if (str_ends_with(strtolower($m[1]), '.xmp')) {
                    // a packet of many facts, long and unreadable as a whole
                    $found['projection'] = ProjectionTag::in($value) ?? $found['projection'] ?? null;
                } else {
                    $header = self::text($header, $m[1], $value);
                }
                break;
        }
        $found['header'] = $header;

        return $found;
    }

    /**
     * @param  array<string, string>  $header
     * @return array<string, string>
     */
    private static function text(array $header, string $key, string $value): array
    {
        if (count($header) < 60 && ! isset($header[Text::shown($key)])) {
            $header[Text::shown($key)] = Text::shown(mb_strcut($value, 0, 400));
        }

        return $header;
    }

    /**
     * @param  array{width: int, height: int, depth: int, colour: int, packing: int, filter: int, interlace: int}  $values
     * @param  array<string, mixed>  $chunks
     */
    private function facts(array $values, array $chunks): MediaFacts
    {
        $transparent = isset($chunks['transparent']);
        $channels = match ($values['colour']) {
            0 => $transparent ? ['Y', 'A'] : ['Y'],
            4 => ['Y', 'A'],
            6 => ['R', 'G', 'B', 'A'],
            default => $transparent ? ['R', 'G', 'B', 'A'] : ['R', 'G', 'B'],
        };
        /** @var array<string, string> $header */
        $header = $chunks['header'];
        if ($values['colour'] === 3) {
            $header['palette'] = 'yes';
        }
        if ($values['interlace'] === 1) {
            $header['interlaced storage'] = 'yes';
        }
        /** @var array{int, int}|null $density */
        $density = $chunks['density'] ?? null;
        // pixels a unit: the denser the rows, the wider each pixel
        $aspect = $density !== null && $density[0] > 0 && $density[1] > 0
            ? BigRational::nd($density[1], $density[0])->simplified()
            : BigRational::one();
        $camera = null;
        foreach ($header as $key => $value) {
            if (strtolower($key) === 'camera' && trim($value) !== '') {
                $camera = trim($value);
            }
        }

        // an embedded profile stands above a gamma; code points and the sRGB mark above both
        $colour = $chunks['colour']
            ?? (array_key_exists('profile', $chunks) ? $chunks['profile'] : $chunks['gamma'] ?? null);
        $colour = is_string($colour) ? $colour : null;

        return new MediaFacts(
            Kind::Png, $values['width'], $values['height'], $aspect, $values['depth'], 'uint', $channels,
            in_array('A', $channels, true), 'deflate', camera: $camera, complete: true, header: $header,
            density: is_int($chunks['ppi'] ?? null) ? $chunks['ppi'] : null,
            colour: $colour,
            projection: is_string($chunks['projection'] ?? null)
                ? $chunks['projection']
                : ProjectionTag::inTexts($header),
        );
    }

    /**
     * Follows the chunks to the end mark.
     *
     * @param  bool  $sums  also compare every chunk's CRC
     * @return int|null where the end mark ends; null if the file ends before it
     *
     * @throws FileDamaged where a CRC fails
     * @throws FileTooLarge where there are more chunks than any encoder writes
     */
    private function walk(ByteSource $source, bool $sums): ?int
    {
        $size = $source->size();
        $at = 8;
        $pictures = 0;
        $most = $sums ? self::MOST_STEPS_IN_FULL : self::MOST_STEPS;
        for ($chunks = 0; $at + 12 <= $size; $chunks++) {
            if ($chunks >= $most) {
                throw FileTooLarge::of('more than '.number_format($most).' chunks');
            }
            $lead = $source->read($at, 8);
            if (strlen($lead) < 8) {
                return null;
            }
            $length = self::uint32($lead, 0);
            $type = substr($lead, 4, 4);
            if ($at + 12 + $length > $size || preg_match('~^[A-Za-z]{4}$~', $type) !== 1) {
                return null;
            }
            $pictures += $type === 'IDAT' ? 1 : 0;
            if ($sums && ! $this->sumHolds($source, $at, $length, $type)) {
                throw FileDamaged::checksum("the {$type} chunk at byte {$at} fails its CRC");
            }
            $at += 12 + $length;
            if ($type === 'IEND') {
                return $pictures > 0 ? $at : null;
            }
        }

        return null;
    }

    private function sumHolds(ByteSource $source, int $at, int $length, string $type): bool
    {
        $sum = hash_init('crc32b');
        hash_update($sum, $type);
        for ($read = 0; $read < $length; $read += 1 << 18) {
            hash_update($sum, $source->read($at + 8 + $read, min(1 << 18, $length - $read)));
        }

        return hash_final($sum, true) === $source->read($at + 8 + $length, 4);
    }

    private function slice(ByteSource $source, string $head, int $offset, int $length): string
    {
        return $offset + $length <= strlen($head) ? substr($head, $offset, $length) : $source->read($offset, $length);
    }

    private static function uint32(string $bytes, int $at): int
    {
        return ord($bytes[$at]) << 24 | ord($bytes[$at + 1]) << 16 | ord($bytes[$at + 2]) << 8 | ord($bytes[$at + 3]);
    }
}
