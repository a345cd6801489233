<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/**
 * Text with pieces in braces, `{shot}_{pass}_v{version:3}.{frame:4}.{ext}`, that makes names and reads them.
 * `{{` and `}}` stand for the braces themselves.
 */
final readonly class NamePattern implements \Stringable
{
    private const LONGEST = 500;

    /** @param  list<Piece>  $pieces */
    private function __construct(private string $source, public array $pieces) {}

    /** @throws PatternRefused */
    public static function parse(string $source): self
    {
        $source = trim($source);
        if ($source === '' || strlen($source) > self::LONGEST) {
            throw PatternRefused::because($source, 'a pattern has 1 to '.self::LONGEST.' characters.');
        }
        if (preg_match('~[\x00-\x1F\x7F\\\\]~', $source) === 1) {
            throw PatternRefused::because(
                $source,
                'it holds a backslash or a control character; folders are separated by “/”.',
            );
        }
        $pieces = self::pieces($source);
        $frames = array_filter($pieces, static fn (Piece $piece): bool => $piece->isFrame());
        if (count($frames) > 1) {
            throw PatternRefused::because($source, 'the frame number stands in it more than once.');
        }
        foreach (array_slice($pieces, 0, -1) as $piece) {
            if ($piece->name === 'ext') {
                throw PatternRefused::because($source, '{ext} is always last.');
            }
        }

        return new self($source, $pieces);
    }

    /** @return list<Piece> */
    private static function pieces(string $source): array
    {
        $expression = '~(\{\{|\}\}|\{[^{}]*\}|[{}])~';
        $parts = preg_split($expression, $source, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];
        $pieces = [];
        $text = '';
        foreach ($parts as $part) {
            if ($part === '{' || $part === '}') {
                throw PatternRefused::because($source, 'a brace is not closed or not opened.');
            }
            if ($part[0] !== '{' || $part === '{{') {
                $text .= $part === '{{' || $part === '}}' ? $part[0] : $part;

                continue;
            }
            $pieces = [...$pieces, ...self::literal($text), self::named($part, $source)];
            $text = '';
        }

        return [...$pieces, ...self::literal($text)];
    }

    /** @return list<Piece> */
    private static function literal(string $text): array
    {
        return $text === '' ? [] : [Piece::literal($text)];
    }

    private static function named(string $part, string $source): Piece
    {
        if (preg_match('~^\{\s*([A-Za-z][A-Za-z0-9_ ]*?)\s*(?::\s*([A-Za-z0-9]*))?\s*\}$~', $part, $m) !== 1) {
            throw PatternRefused::because(
                $source,
                "{$part} is no piece; a piece is a name, with a count of digits if it is a number, like {version:3}.",
            );
        }

        return Piece::named(strtolower($m[1]), $m[2] ?? '', $source);
    }

    /**
     * The output name a scene is set to: it may count frames as `{frame:4}`, `####` or `%04d`.
     *
     * @throws PatternRefused
     */
    public static function parseSceneName(string $source): self
    {
        $source = str_replace('\\', '/', trim($source));
        if (! str_contains($source, '{frame')) {
            $best = null;
            preg_match_all('~%0?(\d{0,2})d|#+~', $source, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
            foreach ($found as $each) {
                // a lone # may be a letter of the name; the longest run counts frames, of equals the last
                $weight = $each[0][0][0] === '#' ? strlen($each[0][0]) : 100;
                $best = $best === null || $weight >= $best[0] ? [$weight, $each] : $best;
            }
            if ($best !== null) {
                [$text, $at] = $best[1][0];
                $digits = $text[0] === '#' ? strlen($text) : (int) ($best[1][1][0] ?? 0);
                $source = substr_replace($source, $digits === 0 ? '{frame}' : "{frame:{$digits}}", $at, strlen($text));
            }
        }

        return self::parse($source);
    }

    public function __toString(): string
    {
        return $this->source;
    }

    public function has(string $name): bool
    {
        return $this->piece($name) !== null;
    }

    public function piece(string $name): ?Piece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->name === $name) {
                return $piece;
            }
        }

        return null;
    }

    /** @return list<string> names of the pieces it holds, in order */
    public function names(): array
    {
        return array_values(array_filter(array_map(static fn (Piece $p): ?string => $p->name, $this->pieces)));
    }

    /**
     * The name for one frame. A piece without a value stays visible as `{piece}`.
     */
    public function make(PieceValues $values, ?int $frame = null): string
    {
        $name = '';
        foreach ($this->pieces as $piece) {
            $name .= match (true) {
                $piece->name === null => $piece->text,
                $piece->isFrame() => $frame === null
                    ? str_repeat('#', $piece->digits ?? 1)
                    : Piece::number($frame, $piece->digits),
                default => $values->textOf($piece) ?? $piece->source(),
            };
        }

        return $name;
    }

    /** How a name reads by this pattern, piece by piece. */
    public function read(string $name, PieceValues $values): NameReading
    {
        return NameReader::of($this, $values)->read($name);
    }

    /**
     * Whether a folder path is what this pattern, read as a folder, asks for; `*` and `?` stand for any text and any
     * character.
     *
     * @param  int|null  $last  how many of the last folders asked are compared; null: all
     */
    public function matchesFolder(string $folder, PieceValues $values, ?int $last = null): bool
    {
        $asked = self::tidyFolder($this->make($values));
        if ($last !== null) {
            $asked = $last === 0 ? '.' : implode('/', array_slice(explode('/', $asked), -$last));
        }
        $found = self::tidyFolder($folder);
        $expression = strtr(preg_quote($asked, '~'), ['\*' => '[^/]*', '\?' => '[^/]']);
        // a piece without a value may be anything
        $expression = (string) preg_replace('~\\\\\{[a-z0-9_ ]+(?:\\\\?:[a-z0-9]+)?\\\\\}~i', '[^/]+', $expression);

        return preg_match("~^{$expression}\$~s", $found) === 1;
    }

    /** Without `./`, doubled and trailing slashes; the root is `.`. */
    public static function tidyFolder(string $folder): string
    {
        $parts = array_filter(
            explode('/', str_replace('\\', '/', $folder)),
            static fn (string $p): bool => $p !== '' && $p !== '.',
        );

        return $parts === [] ? '.' : (str_starts_with($folder, '/') ? '/' : '').implode('/', $parts);
    }

    /** The text of a pattern with `#` for the digits of the frame number, as names are shown. */
    public static function withHashes(string $pattern): string
    {
        return (string) preg_replace_callback(
            '~\{frame(?::(\d+))?\}~',
            static fn (array $m): string => str_repeat('#', (int) ($m[1] ?? 1)),
            $pattern,
        );
    }
}
