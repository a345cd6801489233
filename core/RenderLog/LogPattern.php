<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Text\Text;

/**
 * How a line of a log reads: its words as they stand, with pieces in braces for what changes, `frame {frame} done in
 * {seconds} s`; or, between slashes, a regular expression (PCRE2) with named groups of the same names. Found anywhere
 * in a line, without case. How many steps a match may take is limited.
 */
final readonly class LogPattern
{
    private const KEEP_ALL = PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY;

    public const PIECES = [
        'frame' => '-?\d{1,9}',
        'seconds' => '\d{1,9}(?:\.\d{1,9})?',
        'time' => '(?:\d{1,4}:)?\d{1,4}:\d{2}(?:\.\d{1,6})?'
            .'|(?:\d{1,4}\s?h(?:ours?)?\s?)?(?:\d{1,4}\s?m(?:in(?:utes?)?)?\s?)?'
            .'\d{1,5}(?:\.\d{1,6})?\s?s(?:ec(?:onds?)?)?',
        'clock' => '\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2}',
        'file' => '\S(?:.{0,1000}?\S)?',
        'message' => '.{0,2000}',
        'word' => '\S{1,200}',
        '*' => '.{0,2000}?',
    ];

    private const EXAMPLES = [
        'frame' => '1001', 'seconds' => '61.5', 'time' => '0:01:01', 'clock' => '2026-11-24 10:15:00',
        'file' => 'TC_010/TC_010.1001.exr', 'message' => 'out of memory', 'word' => 'beauty',
    ];

    private const LONGEST = 500;

    private const STEPS = 60_000;

    /** Lines on which a pattern that tries everything would not come to an end. */
    private const TRIALS = ['a', '0', ' ', 'a ', '0 ', '.', ':', 'a.', '/a', '=x '];

    private function __construct(public string $source, private string $expression, private ?string $needs) {}

    /** @throws LogPatternRefused */
    public static function parse(string $source): self
    {
        $source = trim($source);
        if ($source === '' || strlen($source) > self::LONGEST) {
            throw LogPatternRefused::because(
                $source === ''
                    ? 'A pattern is a line as it stands in the log, with {frame} and {seconds} where those are.'
                    : 'A pattern has at most '.self::LONGEST.' letters.',
            );
        }
        $own = strlen($source) > 2 && $source[0] === '/' && str_ends_with($source, '/');
        $pattern = $own ? self::ownExpression(substr($source, 1, -1)) : self::fromPieces($source);
        if (! $own) {
            return $pattern;
        }
        foreach (self::TRIALS as $each) {
            foreach ([str_repeat($each, 1500), str_repeat($each, 1500).'!', str_repeat($each, 1500)
                .' '.implode(' ', range('!', '~')), 'frame '.str_repeat($each, 800)."\t!"] as $line) {
                $pattern->in($line);
            }
        }

        return $pattern;
    }

    private static function fromPieces(string $source): self
    {
        $expression = '';
        $named = [];
        $needs = '';
        foreach (preg_split('~(\{[^{}]*\})~', $source, -1, self::KEEP_ALL) ?: [] as $piece) {
            if (preg_match('~^\{\s*([a-z*]+)\s*\}$~i', $piece, $m) === 1) {
                $expression .= self::form($m[1], $named);
                $named[strtolower($m[1])] = true;
            } else {
                $expression .= (string) preg_replace('~(?:\\\\?\s)+~', '\s+', preg_quote($piece, '~'));
                $needs = self::longest([$needs, ...preg_split('~\s+~', $piece) ?: []]);
            }
        }
        if (substr_count($expression, '.{0,2000}?') > 4) {
            throw LogPatternRefused::because('More than four {*} in a pattern would take too long.');
        }
        if (preg_match('~\{|\}~', (string) preg_replace('~\{[^{}]*\}~', '', $source)) === 1) {
            throw LogPatternRefused::because('A brace in it is not closed.');
        }

        return new self($source, self::limited(self::bounded($expression, $source)), $needs === '' ? null : $needs);
    }

    /**
     * The expression for one piece.
     *
     * @param  array<string, true>  $named  the pieces before it
     */
    private static function form(string $piece, array $named): string
    {
        $name = strtolower($piece);
        $form = self::PIECES[$name] ?? null;
        if ($form === null) {
            $known = array_map(static fn (string $one): string => '{'.$one.'}', array_keys(self::PIECES));
            throw LogPatternRefused::because(
                'There is no piece {'.Text::shown($piece).'}; there are '.implode(', ', $known).'.',
            );
        }
        if ($name === '*') {
            return $form;
        }
        if (isset($named[$name])) {
            throw LogPatternRefused::because("{{$name}} stands in it twice.");
        }

        return "(?<{$name}>{$form})";
    }

    /** @param  non-empty-list<string>  $words */
    private static function longest(array $words): string
    {
        return array_reduce($words, static fn (string $a, string $b): string => strlen($b) > strlen($a) ? $b : $a, '');
    }

    private static function bounded(string $expression, string $source): string
    {
        // a number is not cut out of the middle of a longer one, nor a letter left out at its end
        $expression = str_replace('(?<frame>', '(?<!\d)(?<frame>', $expression);
        if (preg_match('~\{(?:frame|seconds)\}$~i', $source) === 1) {
            return $expression.'(?![\d])';
        }

        // what stands last goes on to the end of the line
        return preg_match('~\{(?:file|time|\*)\}$~i', $source) === 1 ? $expression.'\s*$' : $expression;
    }

    private static function ownExpression(string $expression): self
    {
        if (preg_match('~\(\?C|\(\*(?!atomic|pla|plb|nla|nlb|positive|negative)~', $expression) === 1) {
            throw LogPatternRefused::because('A pattern cannot give orders to the matcher, as (* and (?C do.');
        }
        $pattern = new self("/{$expression}/", self::limited(str_replace('~', '\x7E', $expression)), null);
        if (@preg_match($pattern->expression, '') === false && preg_last_error() === PREG_INTERNAL_ERROR) {
            throw LogPatternRefused::because(
                'This is no regular expression: '
                    .Text::shown(
                        (string) preg_replace(
                            '~^preg_match\(\): ~',
                            '',
                            error_get_last()['message'] ?? 'it cannot be compiled',
                        ),
                    )
                    .'.',
            );
        }
        preg_match_all('~\(\?P?[<\']([A-Za-z_]\w*)[>\']~', $expression, $m);
        $odd = array_diff($m[1], array_keys(self::PIECES));
        if ($odd !== []) {
            throw LogPatternRefused::because(
                'There is no piece “'
                    .Text::shown(implode('”, “', $odd))
                    .'”; groups are named '
                    .implode(', ', array_slice(array_keys(self::PIECES), 0, -1))
                    .'.',
            );
        }

        return $pattern;
    }

    private static function limited(string $expression): string
    {
        return '~(*LIMIT_MATCH='.self::STEPS.')(*LIMIT_DEPTH=2000)'.$expression.'~i';
    }

    /** A line as it could stand in a log; empty for a regular expression, of which none is made. */
    public function example(): string
    {
        if ($this->source[0] === '/') {
            return '';
        }

        return (string) preg_replace_callback(
            '~\{\s*([a-z*]+)\s*\}~i',
            static fn (array $m): string => self::EXAMPLES[strtolower($m[1])] ?? '…',
            $this->source,
        );
    }

    /**
     * What a line tells; null where it reads otherwise.
     *
     * @return array<string, string>|null texts by pieces
     *
     * @throws LogPatternRefused where the match takes too many steps
     */
    public function in(string $line): ?array
    {
        if ($this->needs !== null && stripos($line, $this->needs) === false) {
            return null;
        }
        $found = @preg_match($this->expression, $line, $m, PREG_UNMATCHED_AS_NULL);
        if ($found === false) {
            throw LogPatternRefused::because(
                'The pattern “'
                    .Text::shown($this->source)
                    .'” takes too long on a line such as “'
                    .Text::shown(mb_strimwidth(mb_scrub($line), 0, 40, '…'))
                    .'”: pieces in it can be divided in too many ways. Say more exactly what stands between them.',
            );
        }

        return $found === 0
            ? null
            : array_filter(
                $m,
                static fn (mixed $text, int|string $key): bool => is_string($key) && is_string($text) && $text !== '',
                ARRAY_FILTER_USE_BOTH,
            );
    }
}
