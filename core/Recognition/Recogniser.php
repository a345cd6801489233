<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\Archive\ZipName;
use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\Signature;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Text\Text;

/**
 * Says what a file is that somebody brings, by its content; its name decides only where the content leaves it open.
 * Of a file that is not sent whole its two ends are enough.
 */
final readonly class Recogniser
{
    /** Bytes of a text that are read to know it by. */
    public const HEAD = 262_144;

    /** Bytes of its beginning that are sent of whatever is no text by its name. */
    public const LEAST = 4096;

    /** @param  list<LogShape>  $shapes  of logs that are known */
    public function __construct(private FieldMap $map, private array $shapes) {}

    /** @param  string  $name  with the folders above it, as far as they are known */
    public function of(string $name, ByteSource $source): Brought
    {
        $whose = self::whose($name);
        try {
            return $this->known($name, $source, $whose);
        } catch (BytesMissing) {
            return new Brought(BroughtKind::Unknown, 'too little of it was sent to know it', $whose);
        }
    }

    /**
     * @param  list<string>  $whose
     *
     * @throws BytesMissing
     */
    private function known(string $name, ByteSource $source, array $whose): Brought
    {
        if (ZipName::isOfSystem($name)) {
            return new Brought(BroughtKind::OfSystem, 'a file of the system, which is left out');
        }
        if ($source->size() === 0) {
            return new Brought(BroughtKind::Unknown, 'an empty file', $whose);
        }
        $kind = self::signature($source);
        if ($kind !== null) {
            return self::medium($kind, $whose);
        }
        if (ZipDirectory::isZip($source->read(0, min($source->size(), 4)))) {
            return (new ArchiveContent)->of($name, $source, $whose);
        }
        if (ChecksumList::isNamedSo($name)) {
            return self::checksums($source, $name, $whose);
        }
        $head = self::head($source);
        $text = self::text($head);

        return $text === null
            ? new Brought(BroughtKind::Unknown, self::otherwise($name), $whose)
            : (new TextContent($this->map, $this->shapes))
                ->of($name, $text, $source->size() <= strlen($head), $whose);
    }

    /** @return list<string> the name without its number and extension, then the folders above it */
    private static function whose(string $name): array
    {
        $folders = explode('/', strtr($name, '\\', '/'));
        $file = (string) array_pop($folders);
        $bare = (string) preg_replace('~(?:[._-]?\d+)?\.[A-Za-z0-9]{2,6}$~', '', $file);

        return array_values(array_filter(
            [$bare, ...array_reverse($folders)],
            static fn (string $word): bool => $word !== '' && $word !== '.' && $word !== '..',
        ));
    }

    private static function signature(ByteSource $source): ?Kind
    {
        try {
            return Signature::of(FileEnds::of($source));
        } catch (BytesMissing) {
            return null;
        }
    }

    /** As much of its beginning as was sent. */
    private static function head(ByteSource $source): string
    {
        foreach ([self::HEAD, self::LEAST] as $length) {
            try {
                return $source->read(0, min($source->size(), $length));
            } catch (BytesMissing) {
                continue;
            }
        }

        return '';
    }

    /** @param  list<string>  $whose */
    private static function medium(Kind $kind, array $whose): Brought
    {
        $word = strtoupper($kind->value);

        return match (true) {
            $kind->isMovie() => new Brought(BroughtKind::Movie, "a movie ({$word})", $whose),
            $kind === Kind::Wav => new Brought(BroughtKind::Sound, 'sound (WAV)', $whose),
            default => new Brought(BroughtKind::Pictures, "a picture ({$word})", $whose),
        };
    }

    /** @param  list<string>  $whose */
    private static function checksums(ByteSource $source, string $name, array $whose): Brought
    {
        try {
            $count = count(ChecksumList::read($source, '', $name)->sums);
        } catch (BytesMissing) {
            return new Brought(BroughtKind::Checksums, 'a long list of checksums', $whose);
        }

        return $count === 0
            ? new Brought(BroughtKind::Unknown, 'called a list of checksums, and none is in it', $whose)
            : new Brought(BroughtKind::Checksums, 'checksums of '.Text::count($count, 'file'), $whose);
    }

    /** As UTF-8, without the mark of its encoding; null where it is no text. */
    private static function text(string $head): ?string
    {
        $text = match (true) {
            str_starts_with($head, "\xEF\xBB\xBF") => substr($head, 3),
            str_starts_with($head, "\xFF\xFE") => mb_convert_encoding(substr($head, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($head, "\xFE\xFF") => mb_convert_encoding(substr($head, 2), 'UTF-8', 'UTF-16BE'),
            default => $head,
        };
        if (str_contains($text, "\0")) {
            return null;
        }

        return mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }

    /** Of what nothing here reads. */
    private static function otherwise(string $name): string
    {
        $kind = Kind::fromExtension(strtolower(pathinfo($name, PATHINFO_EXTENSION)));

        return $kind === null
            ? 'nothing that is read here'
            : 'called a '.strtoupper($kind->value).' file, and it is none, or damaged';
    }
}
