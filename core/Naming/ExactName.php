<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/**
 * Whether a name is exactly as its pattern makes it. This comes before any other reading, so that codes which hold
 * digits, dots or underscores, or end in digits right before the frame number, are never doubted.
 */
final readonly class ExactName
{
    private const SIGN = '(?:(?<![0-9A-Za-z\x80-\xFF])-)?';

    /**
     * @param  string  $exact  expression for the names themselves
     * @param  string  $shape  the same with any digits where the values have some: tells where the number stands
     * @param  list<Piece>  $pieces  each a group of either expression, in their order
     */
    private function __construct(private string $exact, private string $shape, private array $pieces) {}

    /**
     * @param  bool  $withNumber  false for the name a single picture would have: without its number and what parts it
     *   from the rest
     */
    public static function of(NamePattern $pattern, PieceValues $values, bool $withNumber = true): self
    {
        $exact = '';
        $shape = '';
        $pieces = $withNumber ? $pattern->pieces : self::unnumbered($pattern->pieces);
        foreach ($pieces as $piece) {
            if ($piece->isFrame()) {
                $own = '(?<frame>'.self::SIGN.self::digits($piece->digits).')';
                $exact .= $own;
                $shape .= $own;

                continue;
            }
            $texts = $piece->name === 'ext'
                ? $values->extensions
                : array_filter([$piece->name === null ? $piece->text : $values->textOf($piece)], is_string(...));
            $quoted = array_map(static fn (string $text): string => preg_quote($text, '~'), $texts);
            $exact .= $quoted === [] ? '([^/]+?)' : '('.implode('|', $quoted).')';
            $shape .= $quoted === [] ? '([^/]+?)' : '('.preg_replace('~\d+~', '\d+', implode('|', $quoted)).')';
        }

        return new self("~^{$exact}\$~D", "~^{$shape}\$~D", $pieces);
    }

    private static function digits(?int $count): string
    {
        return $count === null ? '\d{1,17}' : '(?:\d{'.$count.'}|[1-9]\d{'.$count.',16})';
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Piece>
     */
    private static function unnumbered(array $pieces): array
    {
        foreach ($pieces as $at => $piece) {
            if (! $piece->isFrame()) {
                continue;
            }
            $before = $pieces[$at - 1] ?? null;
            unset($pieces[$at]);
            if ($before !== null && $before->name === null) {
                $pieces[$at - 1] = Piece::literal(
                    (string) preg_replace('~[^A-Za-z0-9\x80-\xFF]+$~', '', $before->text),
                );
            }
        }

        return array_values($pieces);
    }

    /** Null where the name is another. */
    public function read(string $name): ?NameReading
    {
        return $this->by($this->exact, $name);
    }

    /** The reading of a name that would fit if its digits were others: it tells where the frame number stands. */
    public function shapeOf(string $name): ?NameReading
    {
        return $this->by($this->shape, $name);
    }

    private function by(string $expression, string $name): ?NameReading
    {
        if (@preg_match($expression, $name, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $pieces = [];
        $groups = array_values(array_filter($m, is_int(...), ARRAY_FILTER_USE_KEY));
        foreach ($this->pieces as $at => $piece) {
            $found = $groups[$at + 1][0] ?? '';
            $pieces[] = new PieceReading(
                $piece->name ?? 'separator',
                $piece->isFrame() ? str_repeat('#', $piece->digits ?? 1) : $found,
                $found,
            );
        }
        if (! isset($m['frame'])) {
            return new NameReading($name, $pieces, 0, null);
        }
        [$text, $at] = $m['frame'];
        $from = $text[0] === '-' ? $at + 1 : $at;
        $to = $at + strlen($text);
        $lead = strlen((string) preg_replace('~^.*?(\d*)$~Ds', '$1', substr($name, 0, $from)));
        $trail = strspn($name, '0123456789', $to);

        return new NameReading(
            $name,
            $pieces,
            0,
            (int) preg_match_all('~\d+~', substr($name, 0, $from - $lead)),
            substr($name, $from - $lead, $lead),
            substr($name, $to, $trail),
        );
    }
}
