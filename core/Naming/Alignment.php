<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/**
 * Reads names by a pattern whose values are known, and where a name does not fit finds the reading that assumes
 * least: the pattern's atoms are laid against the name's tokens by dynamic programming over their costs.
 */
final class Alignment
{
    private const MISSING_SEPARATOR = 12;

    private const MISSING = 40;

    private const ANOTHER = 50;

    private const MISSING_FRAME = 60;

    private const EXTRA = 15;

    private const MOVED = 12;

    private const COPIED = 8;

    /** Pieces whose values follow from what is asked: their numbers differ as the files do, and name nobody. */
    private const FOLLOWING = ['resolution', 'width', 'height', 'first', 'last', 'rate'];

    /** A name that far from the pattern is not read again with its number elsewhere. */
    private const HOPELESS = 150;

    private const LONGEST_NAME = 255;

    private const MOST_TOKENS = 48;

    /** @var array<int, array<int, array{int, int, bool}>> cost, next token, whether this token is extra */
    private array $memo = [];

    /** @var list<string> */
    private array $tokens = [];

    /**
     * @param  list<array{string, string, Piece}>  $atoms  kind (separator, word, value, number, frame, free, ext), text, piece
     * @param  list<string>  $extensions
     */
    private function __construct(private readonly array $atoms, private readonly array $extensions) {}

    public static function of(NamePattern $pattern, PieceValues $values): self
    {
        $atoms = [];
        foreach ($pattern->pieces as $piece) {
            if ($piece->name === null) {
                foreach (preg_split(
                    '~([^A-Za-z0-9\x80-\xFF]+)~',
                    $piece->text,
                    -1,
                    PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY,
                ) ?: [] as $text) {
                    $atoms[] = [
                        preg_match('~^[A-Za-z0-9\x80-\xFF]~', $text) === 1 ? 'word' : 'separator',
                        $text,
                        $piece,
                    ];
                }

                continue;
            }
            $text = $values->textOf($piece);
            $atoms[] = match (true) {
                $piece->isFrame() => ['frame', '', $piece],
                $piece->name === 'ext' => ['ext', $text ?? '', $piece],
                $text === null => ['free', '', $piece],
                $piece->name === 'version' && preg_match('~^\d+$~', $text) === 1 => ['number', $text, $piece],
                default => ['value', $text, $piece],
            };
        }

        return new self(self::literalExtension($atoms), $values->extensions);
    }

    /**
     * An extension written out at the end of a pattern (`.exr`) is an extension all the same.
     *
     * @param  list<array{string, string, Piece}>  $atoms
     * @return list<array{string, string, Piece}>
     */
    private static function literalExtension(array $atoms): array
    {
        $last = count($atoms) - 1;
        if (
            $last > 0
            && $atoms[$last][0] === 'word'
            && str_ends_with($atoms[$last - 1][1], '.')
            && $atoms[$last - 1][0] === 'separator'
        ) {
            $atoms[$last][0] = 'ext';
        }

        return $atoms;
    }

    public function read(string $name): NameReading
    {
        $name = substr($name, 0, self::LONGEST_NAME);
        if (preg_match_all('~\d+|[A-Za-z\x80-\xFF]+|.~s', $name) > self::MOST_TOKENS) {
            // nobody meant this by a pattern, and laying it against one would take long
            return new NameReading(
                $name,
                [new PieceReading('extra', '', $name, [Difference::Value])],
                10 * self::MISSING_FRAME,
                null,
            );
        }
        $best = $this->direct($name, $this->atoms, 0);
        if ($best->fits()) {
            return $best;
        }
        [$stripped, $suffix] = self::withoutCopySuffix($name);
        foreach ($suffix === '' ? [[$name, '', 0]] : [
            [$stripped, $suffix, self::COPIED],
            [$name, '', 0],
        ] as [$plain, $copy, $cost]) {
            $reading = $copy === '' ? $best : $this->direct($plain, $this->atoms, 0);
            $moved = $reading->fits() || $reading->cost > self::HOPELESS ? null : $this->moved($plain);
            if ($moved !== null && $moved->cost < $reading->cost) {
                $reading = $moved;
            }
            if ($reading->cost + $cost < $best->cost || $reading === $moved) {
                $pieces = $reading->pieces;
                if ($copy !== '') {
                    $twice = preg_match('~^\.[A-Za-z][A-Za-z0-9]{1,4}$~', $copy) === 1
                        && ! in_array(strtolower($copy), ['.bak', '.orig', '.old'], true);
                    $pieces[] = new PieceReading(
                        'extra',
                        '',
                        $copy,
                        [$twice ? Difference::Extension : Difference::CopySuffix],
                    );
                }
                $candidate = new NameReading($name, $pieces, $reading->cost + $cost, $reading->digitRun);
                $best = $candidate->cost < $best->cost ? $candidate : $best;
            }
        }

        return $best;
    }

    /** @return array{string, string} the name without a mark that it is a copy, and the mark */
    private static function withoutCopySuffix(string $name): array
    {
        foreach ([
            '~( ?\(\d{1,3}\)|[ _-]*(?i:copy|kopie)(?:[ _]?\(?\d{1,3}\)?)?)(?=\.[A-Za-z]\w{1,4}$|$)~',
            '~(\~|\.bak|\.orig|\.old)$~i',
            '~(?<=\.)(?:jpe?g|tiff?|[A-Za-z][A-Za-z0-9]{1,4})(\.(?:jpe?g|tiff?|png|exr|tga|dpx|webp|bmp|mp4|mov|avi'
                .'|mkv|webm|mxf|wav))$~i',
        ] as $expression) {
            if (preg_match($expression, $name, $m, PREG_OFFSET_CAPTURE) === 1 && $m[1][1] > 0) {
                return [substr_replace($name, '', $m[1][1], strlen($m[1][0])), $m[1][0]];
            }
        }

        return [$name, ''];
    }

    /** The number stands elsewhere: taken out, the rest is read by the pattern without it. */
    private function moved(string $name): ?NameReading
    {
        $at = null;
        foreach ($this->atoms as $i => $atom) {
            $at = $atom[0] === 'frame' ? $i : $at;
        }
        if ($at === null || preg_match_all('~\d+~', $name, $runs, PREG_OFFSET_CAPTURE) < 1) {
            return null;
        }
        $frame = $this->atoms[$at][2];
        $withouts = [];
        foreach ([$at - 1, $at + 1] as $beside) {
            if (isset($this->atoms[$beside]) && $this->atoms[$beside][0] === 'separator') {
                $withouts[] = array_values(array_diff_key($this->atoms, [$at => 1, $beside => 1]));
            }
        }
        $withouts[] = array_values(array_diff_key($this->atoms, [$at => 1]));
        $best = null;
        foreach (array_slice($runs[0], 0, 8, true) as $run => [$digits, $offset]) {
            $end = $offset + strlen($digits);
            $cuts = [];
            if ($offset > 0 && ! ctype_alnum($name[$offset - 1])) {
                $cuts[] = substr($name, 0, $offset - 1).substr($name, $end);
            }
            if ($end < strlen($name) && ! ctype_alnum($name[$end])) {
                $cuts[] = substr($name, 0, $offset).substr($name, $end + 1);
            }
            $cuts[] = substr($name, 0, $offset).substr($name, $end);
            foreach ($cuts as $cut) {
                foreach ($withouts as $atoms) {
                    $reading = $this->direct($cut, $atoms, self::MOVED);
                    if ($best === null || $reading->cost < $best->cost) {
                        $differences = [Difference::NumberPlace, ...self::digitsDiffer($digits, $frame->digits)];
                        $moved = new PieceReading('frame', str_repeat('#', $frame->digits ?? 1), $digits, $differences);
                        $best = new NameReading(
                            $name,
                            [...$reading->pieces, $moved],
                            $reading->cost + (count($differences) > 1 ? 6 : 0),
                            $run,
                        );
                    }
                }
            }
        }

        return $best;
    }

    /** @param  list<array{string, string, Piece}>  $atoms */
    private function direct(string $name, array $atoms, int $base): NameReading
    {
        $this->tokens = preg_split(
            '~(\d+|[A-Za-z\x80-\xFF]+)~',
            $name,
            -1,
            PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY,
        )
            ?: [];
        $tokens = [];
        foreach ($this->tokens as $token) {
            foreach (ctype_alnum($token[0]) || ord($token[0]) >= 0x80 ? [$token] : str_split($token) as $single) {
                $tokens[] = $single;
            }
        }
        $this->tokens = $tokens;
        $this->memo = [];
        $cost = $this->best($atoms, 0, 0) + $base;

        return $this->trace($name, $atoms, $cost);
    }

    /** @param  list<array{string, string, Piece}>  $atoms */
    private function best(array $atoms, int $i, int $j): int
    {
        if (isset($this->memo[$i][$j])) {
            return $this->memo[$i][$j][0];
        }
        $tokens = count($this->tokens);
        if ($i === count($atoms)) {
            $left = 0;
            for ($k = $j; $k < $tokens; $k++) {
                $left += $this->extra($k);
            }
            $this->memo[$i][$j] = [$left, $j, false];

            return $left;
        }
        [$best, $next, $extra] = [PHP_INT_MAX, $j, false];
        [$kind, $text] = $atoms[$i];
        $span = match ($kind) {
            'separator' => 3, 'number', 'frame' => 2, 'ext' => 3, 'free' => 9,
            default => 4 + (int) preg_match_all('~\d+|[A-Za-z\x80-\xFF]+|.~s', $text),
        };
        for ($k = $j; $k <= min($tokens, $j + $span); $k++) {
            $own = $this->cost($atoms[$i], $j, $k);
            if ($own === null || $own >= $best) {
                continue;
            }
            $cost = $own + $this->best($atoms, $i + 1, $k);
            if ($cost < $best) {
                [$best, $next] = [$cost, $k];
            }
        }
        if ($j < $tokens && $best > self::EXTRA) {
            $cost = $this->extra($j) + $this->best($atoms, $i, $j + 1);
            if ($cost < $best) {
                [$best, $next, $extra] = [$cost, $j + 1, true];
            }
        }
        $this->memo[$i][$j] = [$best, $next, $extra];

        return $best;
    }

    /** What a token costs that belongs to no piece: little for a space, much for a number, which makes it another file. */
    private function extra(int $j): int
    {
        return $this->tokens[$j] === ' ' ? 6 : (ctype_digit($this->tokens[$j]) ? 2 * self::EXTRA : self::EXTRA);
    }

    /**
     * What it costs that the atom is tokens $j to $k; null where it cannot be.
     *
     * @param  array{string, string, Piece}  $atom
     */
    private function cost(array $atom, int $j, int $k): ?int
    {
        [$kind, $asked, $piece] = $atom;
        $found = implode('', array_slice($this->tokens, $j, $k - $j));
        if ($kind === 'frame') {
            return match (true) {
                $found === '' => self::MISSING_FRAME,
                preg_match('~^-?\d+$~', $found) !== 1 => null,
                $found[0] === '-' && ! $this->signAllowed($j) => null,
                strlen($found) > 18 => null,
                default => self::digitsDiffer($found, $piece->digits) === [] ? 0 : 6,
            };
        }
        if ($found === $asked && $asked !== '') {
            return 0;
        }
        switch ($kind) {
            case 'separator':
                return $found === ''
                    ? self::MISSING_SEPARATOR
                    : (preg_match('~^[^A-Za-z0-9\x80-\xFF]+$~', $found) === 1 ? 9 + strlen($found) : null);
            case 'free':
                return $found === '' ? 30 : ($k - $j) + (preg_match('~^[A-Za-z0-9\x80-\xFF]+$~', $found) === 1 ? 0 : 2);
            case 'ext':
                if ($found === '') {
                    return 20;
                }
                if (in_array($found, $this->extensions, true) || ($asked === '' && ctype_alnum($found))) {
                    return 0;
                }

                return ! ctype_alnum($found) ? null : ($this->extensionAlike($found, $asked) ? 5 : 20);
            case 'number':
                if ($found === '') {
                    return self::MISSING;
                }
                if (! ctype_digit($found) || strlen($found) > 18) {
                    return null;
                }

                return ((int) $found === (int) $asked ? 0 : 11) + (strlen($found) === strlen($asked) ? 0 : 7);
        }
        if ($found === '') {
            // a short literal, such as the v of a version, is easily left out; a whole word is not
            return $kind === 'word' && strlen($asked) < 3 ? 15 : self::MISSING;
        }
        $differences = $this->valueDiffers($asked, $found, $kind === 'word' && strlen($asked) < 3, $piece);
        if ($differences === null || $differences === [Difference::Another]) {
            return $kind === 'word' && $differences === null ? null : self::ANOTHER;
        }

        return 2
            + 7 * count($differences)
            + (
                in_array(Difference::Misspelled, $differences, true)
                    ? 7 * levenshtein(strtolower($asked), strtolower($found))
                    : 0
            );
    }

    /** A dash is a sign where no letter or digit stands before it. */
    private function signAllowed(int $j): bool
    {
        $before = $this->tokens[$j - 1] ?? '';

        return $before === '' || ! (ctype_alnum($before[0]) || ord($before[0]) >= 0x80);
    }

    /**
     * How a found value differs; null where it is another value altogether.
     *
     * @return list<Difference>|null
     */
    private function valueDiffers(string $asked, string $found, bool $strict, Piece $piece): ?array
    {
        if (strcasecmp($asked, $found) === 0) {
            return [Difference::Case];
        }
        $bare = static fn (string $text): string => (string) preg_replace('~[^A-Za-z0-9\x80-\xFF]+~', '', $text);
        $differences = [];
        if (strcasecmp($bare($asked), $bare($found)) === 0) {
            $askedMarks = preg_split('~[A-Za-z0-9\x80-\xFF]+~', $asked, -1, PREG_SPLIT_NO_EMPTY) ?: [];
            $foundMarks = preg_split('~[A-Za-z0-9\x80-\xFF]+~', $found, -1, PREG_SPLIT_NO_EMPTY) ?: [];
            $new = implode('', $foundMarks);
            if (str_contains($new, ' ') && ! str_contains(implode('', $askedMarks), ' ')) {
                $differences[] = Difference::Spaces;
            }
            if (str_contains($new, '.') && ! str_contains(implode('', $askedMarks), '.')) {
                $differences[] = Difference::Dots;
            }
            if ($differences === []) {
                $differences[] = Difference::Separator;
            }
            if ($bare($asked) !== $bare($found)) {
                $differences[] = Difference::Case;
            }

            return $differences;
        }
        if (self::isOfAnother($asked, $found)) {
            return in_array($piece->name, self::FOLLOWING, true) ? [Difference::Value] : [Difference::Another];
        }
        if ($strict || strlen($asked) < 3) {
            return null;
        }
        $edits = levenshtein(strtolower($asked), strtolower($found));
        if ($edits <= 2 && strlen($asked) > $edits + 1) {
            return [Difference::Misspelled];
        }
        // misspelled, and its separators differ too
        if (levenshtein(strtolower($bare($asked)), strtolower($bare($found))) <= 1 && strlen($bare($asked)) > 3) {
            return [Difference::Misspelled, Difference::Separator];
        }

        return null;
    }

    /** `TC_020` for `TC_010`: the same but for its digits, and another number. */
    private static function isOfAnother(string $asked, string $found): bool
    {
        $bare = static fn (string $text): string => strtolower(
            (string) preg_replace('~\d+|[^A-Za-z0-9\x80-\xFF]+~', '', $text),
        );
        preg_match_all('~\d+~', $asked, $numbers);
        preg_match_all('~\d+~', $found, $others);

        // `TC_10` for `TC_010` is the same number, written otherwise
        return $bare($asked) === $bare($found)
            && array_map(intval(...), $numbers[0]) !== array_map(intval(...), $others[0]);
    }

    private function extensionAlike(string $found, string $asked): bool
    {
        foreach ([...$this->extensions, $asked] as $right) {
            if (strcasecmp($found, $right) === 0) {
                return true;
            }
            foreach ([
                ['jpg', 'jpeg', 'jpe', 'jfif'],
                ['tif', 'tiff'],
                ['mov', 'qt'],
                ['mp4', 'm4v'],
                ['wav', 'wave'],
            ] as $alike) {
                if (in_array(strtolower($found), $alike, true) && in_array(strtolower($right), $alike, true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Difference> */
    private static function digitsDiffer(string $found, ?int $digits): array
    {
        $text = ltrim($found, '-');
        if ($digits === null || $text === str_pad((string) (int) $text, $digits, '0', STR_PAD_LEFT)) {
            return [];
        }

        return [strlen($text) < $digits ? Difference::TooFewDigits : Difference::TooManyDigits];
    }

    /** @param  list<array{string, string, Piece}>  $atoms */
    private function trace(string $name, array $atoms, int $cost): NameReading
    {
        $pieces = [];
        $digitRun = null;
        [$i, $j] = [0, 0];
        while ($i < count($atoms)) {
            [, $next, $extra] = $this->memo[$i][$j];
            $found = implode('', array_slice($this->tokens, $j, $next - $j));
            if ($extra) {
                $pieces[] = self::extraPiece($found);
            } else {
                [$kind, $asked, $piece] = $atoms[$i];
                if ($kind === 'frame' && $found !== '') {
                    $digitRun = count(array_filter(array_slice($this->tokens, 0, $j), ctype_digit(...)));
                }
                $pieces[] = new PieceReading(
                    $piece->name ?? ($kind === 'ext' ? 'ext' : 'separator'),
                    $kind === 'frame' ? str_repeat('#', $piece->digits ?? 1) : $asked,
                    $found,
                    $this->differences($kind, $asked, $found, $piece),
                );
                $i++;
            }
            $j = $next;
        }
        if ($j < count($this->tokens)) {
            $pieces[] = self::extraPiece(implode('', array_slice($this->tokens, $j)));
        }

        return new NameReading($name, $pieces, $cost, $digitRun);
    }

    private static function extraPiece(string $found): PieceReading
    {
        $difference = trim($found) === ''
            ? Difference::Spaces
            : (trim($found, '.') === '' ? Difference::Dots : Difference::Value);

        return new PieceReading('extra', '', $found, [$difference]);
    }

    /** @return list<Difference> */
    private function differences(string $kind, string $asked, string $found, Piece $piece): array
    {
        if ($kind === 'frame') {
            return $found === '' ? [Difference::Value] : self::digitsDiffer($found, $piece->digits);
        }
        if ($found === $asked && $asked !== '') {
            return [];
        }

        return match ($kind) {
            'separator' => [Difference::Separator],
            'free' => $found === '' ? [Difference::Value] : [],
            'ext' => in_array($found, $this->extensions, true) || ($asked === '' && $found !== '') ? []
                : (
                    $found !== ''
                    && $this->extensionAlike($found, $asked) ? [Difference::Extension] : [Difference::Value]
                ),
            'number' => $found === '' ? [Difference::Value] : [
                ...((int) $found === (int) $asked ? [] : [Difference::Version]),
                ...(
                    strlen($found) === strlen($asked)
                        ? []
                        : [strlen($found) < strlen($asked) ? Difference::TooFewDigits : Difference::TooManyDigits]
                ),
            ],
            default => $found === ''
                ? [Difference::Value]
                : (
                    $this->valueDiffers($asked, $found, $kind === 'word' && strlen($asked) < 3, $piece)
                        ?? [Difference::Value]
                ),
        };
    }
}
