<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Text\Text;

/**
 * The text form of USD, piece by piece from the front: words, punctuation, strings, paths. Only a window of it is ever
 * in memory, and what is skipped is not taken apart.
 */
final class UsdText
{
    private const WINDOW = 1 << 18;

    /** Longer words and strings are cut: no setting has so many letters. */
    private const LONGEST = 65_536;

    private string $window = '';

    /** Where the window begins in the source. */
    private int $from = 0;

    private int $at = 0;

    private bool $wasLatin = false;

    public function __construct(private readonly ByteSource $source, private readonly string $label) {}

    /** Room for so many bytes ahead, where there are so many. */
    private function fill(int $ahead = 1): bool
    {
        if ($this->at + $ahead <= strlen($this->window)) {
            return true;
        }
        $this->from += $this->at;
        $this->window = substr($this->window, $this->at);
        $this->at = 0;
        while (strlen($this->window) < $ahead) {
            $more = $this->source->read($this->from + strlen($this->window), max(self::WINDOW, $ahead));
            if ($more === '') {
                return false;
            }
            $this->window .= $more;
        }

        return true;
    }

    /** Spaces, line ends and remarks. */
    private function space(): void
    {
        while ($this->fill()) {
            $this->at += strspn($this->window, " \t\r\n;", $this->at);
            if ($this->at < strlen($this->window) && $this->window[$this->at] === '#') {
                $this->line();
            } elseif ($this->at < strlen($this->window)) {
                return;
            }
        }
    }

    private function line(): void
    {
        do {
            $this->at += strcspn($this->window, "\n", $this->at);
        } while ($this->at >= strlen($this->window) && $this->fill());
    }

    /** The next character that is no space; `""` at the end. */
    public function peek(): string
    {
        $this->space();

        return $this->fill() ? $this->window[$this->at] : '';
    }

    /** Takes the next character where it is this one. */
    public function took(string $character): bool
    {
        if ($this->peek() !== $character) {
            return false;
        }
        $this->at++;

        return true;
    }

    public function take(string $character): void
    {
        if (! $this->took($character)) {
            throw $this->unexpected($character);
        }
    }

    public function unexpected(string $due): JsonRefused
    {
        $found = $this->peek();

        return JsonRefused::because(
            $this->label,
            ($found === '' ? 'it ends' : '“'.Text::shown($found).'” stands')
                ." where “{$due}” should, at byte "
                .($this->from + $this->at)
                .'.',
        );
    }

    /** A name, a type, a number: letters, digits and what stands between them in names; `""` where there is none. */
    public function word(): string
    {
        $this->space();
        $word = '';
        while ($this->fill()) {
            $length = strcspn($this->window, " \t\r\n;,=()[]{}<>\"'@#", $this->at);
            if ($length === 0) {
                break;
            }
            $word .= substr($this->window, $this->at, max(0, min($length, self::LONGEST - strlen($word))));
            $this->at += $length;
        }

        return $this->text($word);
    }

    /** A string in quotes of any of the four kinds. */
    public function string(): string
    {
        $quote = $this->peek();
        if ($quote !== '"' && $quote !== "'") {
            throw $this->unexpected('"');
        }
        $this->fill(3);
        $long = str_repeat($quote, 3);
        $end = substr($this->window, $this->at, 3) === $long ? $long : $quote;
        $this->at += strlen($end);
        $text = '';
        while ($this->fill(strlen($end))) {
            $length = strcspn($this->window, "\\{$quote}", $this->at);
            $text .= substr($this->window, $this->at, max(0, min($length, self::LONGEST - strlen($text))));
            $this->at += $length;
            if ($this->fill(strlen($end)) && substr($this->window, $this->at, strlen($end)) === $end) {
                $this->at += strlen($end);

                return $this->text($text);
            }
            $text .= $this->special();
        }
        throw JsonRefused::because($this->label, 'it ends inside a string.');
    }

    /** What stands where a run of plain letters ends: an escape, or a quote that does not end the string. */
    private function special(): string
    {
        $here = substr($this->window, $this->at, 1);
        if ($here !== '\\') {
            $this->at += strlen($here);

            return $here;
        }
        $escaped = substr($this->window, $this->at + 1, 1);
        $this->at += 2;

        return ['n' => "\n", 't' => "\t", 'r' => "\r"][$escaped] ?? $escaped;
    }

    /** What stands between `<` and `>`, or between `@` and `@`. */
    public function between(string $open, string $close): string
    {
        $this->take($open);
        $text = '';
        while ($this->fill()) {
            $length = strcspn($this->window, $close, $this->at);
            $text .= substr($this->window, $this->at, max(0, min($length, self::LONGEST - strlen($text))));
            $this->at += $length;
            if ($this->at < strlen($this->window)) {
                $this->at++;

                return $this->text($text);
            }
        }
        throw JsonRefused::because($this->label, "it ends before “{$close}”.");
    }

    /** In UTF-8, as the format has it; what is none was written by something that knew Latin-1 alone. */
    private function text(string $bytes): string
    {
        if (mb_check_encoding($bytes, 'UTF-8')) {
            return $bytes;
        }
        if (strlen($bytes) === self::LONGEST) {
            return mb_strcut($bytes, 0, self::LONGEST - 4, 'UTF-8');
        }
        $this->wasLatin = true;

        return mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
    }

    /** Whether anything in it was no UTF-8. */
    public function wasLatin(): bool
    {
        return $this->wasLatin;
    }

    /** Everything up to the bracket that closes the one which stands here, whatever is in it. */
    public function skip(): void
    {
        $depth = 0;
        while ($this->fill()) {
            $this->at += strcspn($this->window, "()[]{}\"'@#", $this->at);
            if ($this->at >= strlen($this->window)) {
                continue;
            }
            $character = $this->window[$this->at];
            if ($character === '"' || $character === "'") {
                $this->string();
            } elseif ($character === '@') {
                $this->between('@', '@');
            } elseif ($character === '#') {
                $this->line();
            } else {
                $this->at++;
                $depth += str_contains('([{', $character) ? 1 : -1;
                if ($depth === 0) {
                    return;
                }
            }
        }
        throw JsonRefused::because($this->label, 'it ends inside a bracket.');
    }

    /**
     * A value: text, number or word; a list or a tuple of such. One with more than so many is skipped.
     *
     * @return string|list<mixed>|null null for one that is of no use here
     */
    public function value(int $most = 4096, int $depth = 0): string|array|null
    {
        $next = $this->peek();
        if ($next === '{' || (in_array($next, ['(', '['], true) && $depth > 3)) {
            $this->skip();

            return null;
        }

        return match ($next) {
            '"', "'" => $this->string(),
            '<' => $this->between('<', '>'),
            '@' => $this->between('@', '@'),
            '(' => $this->list($next, ')', $most, $depth),
            '[' => $this->list($next, ']', $most, $depth),
            default => $this->word(),
        };
    }

    /** @return list<mixed> */
    private function list(string $open, string $close, int $most, int $depth): array
    {
        $this->take($open);
        $list = [];
        while (! $this->took($close)) {
            if ($this->peek() === '') {
                throw JsonRefused::because($this->label, 'it ends inside a list.');
            }
            $value = $this->value($most, $depth + 1);
            if ($value === '') {
                throw JsonRefused::because($this->label, "“{$this->peek()}” stands in a list where no value begins.");
            }
            if (count($list) < $most) {
                $list[] = $value;
            }
            if ($depth === 0 && $close === ']' && $this->peek() === '(') {
                // a layer by its own time
                $this->skip();
            }
            $this->took(',');
        }

        return $list;
    }
}
