<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;

/** The headers of an OpenEXR file, one a part, and where they end. */
final readonly class ExrHeader
{
    /** Longer headers are a lie; previews and manifests fit. */
    private const LARGEST = 16 << 20;

    private const MOST_PARTS = 512;

    private const TILED = 0x200;

    private const DEEP = 0x800;

    private const MULTI_PART = 0x1000;

    /** @param  non-empty-list<ExrPart>  $parts */
    private function __construct(public array $parts, public bool $multiPart, public int $end) {}

    /** @throws FileDamaged */
    public static function read(ByteSource $source, string $head): self
    {
        $size = $source->size();
        if ($size < 8) {
            throw FileDamaged::cutShort("the file ends inside its header, after {$size} bytes");
        }
        $version = self::int($head, 4);
        $multiPart = ($version & self::MULTI_PART) !== 0;
        if (($version & 0xFF) !== 2 || ($version & ~0x1EFF) !== 0) {
            throw FileDamaged::header('the version field '.$version.' is not one of OpenEXR 2');
        }
        $bytes = new HeaderBytes($source, $head, self::LARGEST);
        $at = 8;
        $parts = [];
        do {
            if (count($parts) >= self::MOST_PARTS) {
                throw FileDamaged::header('it names more than '.self::MOST_PARTS.' parts');
            }
            $attributes = ExrAttributes::read($bytes, $at);
            $parts[] = self::part($attributes, $version);
            $at = $attributes->end;
            $more = $multiPart && $bytes->take($at, 1) !== "\0";
        } while ($more);

        return new self($parts, $multiPart, $multiPart ? $at + 1 : $at);
    }

    private static function part(ExrAttributes $attributes, int $version): ExrPart
    {
        return new ExrPart(
            ExrChannels::read($attributes->bytes('channels')),
            self::storage($attributes, $version),
            ExrWindow::read($attributes->bytes('dataWindow'), 'data window'),
            ExrWindow::read($attributes->bytes('displayWindow'), 'display window'),
            ExrLabels::of($attributes),
        );
    }

    /** A part tells its type; where there is but one, the version field does. */
    private static function storage(ExrAttributes $attributes, int $version): ExrStorage
    {
        $compression = ord($attributes->bytes('compression')[0] ?? "\xFF");
        if (! ExrStorage::isKnown($compression)) {
            throw FileDamaged::header("the compression {$compression} is not one of OpenEXR");
        }
        $type = $attributes->bytes('type');
        $isTiled = $type === ''
            ? ($version & self::TILED) !== 0
            : str_starts_with($type, 'tiled') || $type === 'deeptile';
        $tiles = ExrTiles::read($attributes->bytes('tiles'));
        if ($isTiled && $tiles === null) {
            throw FileDamaged::header('a tiled file without a description of its tiles');
        }
        $isDeep = $type === '' ? ($version & self::DEEP) !== 0 : str_starts_with($type, 'deep');

        return new ExrStorage($compression, $isTiled ? $tiles : null, $isDeep, $attributes->int('chunkCount'));
    }

    /** A signed 32-bit integer, little-endian; bytes that are not there are zeros. */
    public static function int(string $bytes, int $at): int
    {
        $value = 0;
        for ($i = 3; $i >= 0; $i--) {
            $value = $value << 8 | ord($bytes[$at + $i] ?? "\0");
        }

        return $value >= 0x80000000 ? $value - 0x100000000 : $value;
    }
}
