<?php

declare(strict_types=1);

namespace PlainLedger\Core\Json;

/** Finds where a text stops being JSON, since the decoder itself does not tell. */
final class JsonFault
{
    private const PLAIN = '~\G(?:-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?|true|false|null)(?![\w.+-])~';

    private const DEEPEST = 64;

    private int $at = 0;

    private int $deep = 0;

    private function __construct(private readonly string $text) {}

    /** A sentence with line and column (both from 1; the column in characters). */
    public static function find(string $text): string
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            $good = strlen(mb_strcut(mb_scrub($text, 'UTF-8'), 0, 0));
            preg_match(
                '~^(?:[\x00-\x7F]++|[\xC2-\xDF][\x80-\xBF]|[\xE0-\xEF][\x80-\xBF]{2}|[\xF0-\xF4][\x80-\xBF]{3})*+~',
                $text,
                $m,
            );

            return self::where($text, max($good, strlen($m[0] ?? ''))).': this is not UTF-8 text.';
        }
        $fault = new self($text);
        $says = $fault->value()
            ?? (
                $fault->space() < strlen($text) ? 'something follows after the document’s end' : 'the text is not JSON'
            );

        return self::where($text, $fault->at).": {$says}.";
    }

    private static function where(string $text, int $at): string
    {
        $before = substr($text, 0, $at);
        $line = substr_count($before, "\n") + 1;
        $start = strrpos($before, "\n");

        return "line {$line}, column ".(mb_strlen($start === false ? $before : substr($before, $start + 1)) + 1);
    }

    /** The next character, or none at the end. */
    private function peek(): string
    {
        return substr($this->text, $this->at, 1);
    }

    private function space(): int
    {
        return $this->at += strspn($this->text, " \t\r\n", $this->at);
    }

    /** Reads one value; the fault, or null where there is none. */
    private function value(): ?string
    {
        $this->space();
        if (++$this->deep > self::DEEPEST) {
            return 'it is nested too deep';
        }
        $next = $this->peek();
        $fault = match ($next) {
            '{' => $this->members('}', true),
            '[' => $this->members(']', false),
            '"' => $this->string(),
            default => $this->plain($next),
        };
        $this->deep--;

        return $fault;
    }

    /** A number, `true`, `false` or `null`, or what is wrong with what stands there. */
    private function plain(string $next): ?string
    {
        if (preg_match(self::PLAIN, $this->text, $m, 0, $this->at) === 1) {
            return $this->pass(strlen($m[0]));
        }

        return match ($next) {
            '' => 'the text ends where a value is expected; it was probably cut short',
            "'" => 'a text stands in double quotes, not single ones',
            '/' => 'JSON has no comments',
            ',', '}', ']' => "a value is expected before “{$next}”",
            default => 'a value is expected',
        };
    }

    private function pass(int $length): null
    {
        $this->at += $length;

        return null;
    }

    private function members(string $close, bool $named): ?string
    {
        $this->at++;
        $this->space();
        if ($this->peek() === $close) {
            return $this->pass(1);
        }
        do {
            $fault = ($named ? $this->name() : null) ?? $this->value();
            if ($fault !== null) {
                return $fault;
            }
            $this->space();
            $next = $this->peek();
            if ($next !== $close && $next !== ',') {
                return $next === ''
                    ? 'the text ends inside '.($named ? 'an object' : 'a list').'; it was probably cut short'
                    : "a comma or “{$close}” is expected";
            }
            $this->at++;
        } while ($next !== $close);

        return null;
    }

    /** The name of a member, and its colon. */
    private function name(): ?string
    {
        $this->space();
        $fault = match ($this->peek()) {
            '"' => $this->string(),
            '' => 'the text ends inside an object; it was probably cut short',
            '}' => 'a comma stands before the closing brace',
            default => 'a name in double quotes is expected',
        };
        if ($fault !== null) {
            return $fault;
        }
        $this->space();

        return match ($this->peek()) {
            ':' => $this->pass(1),
            '' => 'the text ends inside an object; it was probably cut short',
            default => 'a colon is expected after the name',
        };
    }

    private function string(): ?string
    {
        if (
            preg_match(
                '~\G"(?:[^"\\\\\x00-\x1F]++|\\\\(?:["\\\\/bfnrt]|u[0-9A-Fa-f]{4}))*+"~',
                $this->text,
                $m,
                0,
                $this->at,
            ) === 1
        ) {
            return $this->pass(strlen($m[0]));
        }
        preg_match(
            '~\G"(?:[^"\\\\\x00-\x1F]++|\\\\(?:["\\\\/bfnrt]|u[0-9A-Fa-f]{4}))*+~',
            $this->text,
            $m,
            0,
            $this->at,
        );
        $this->at += strlen($m[0] ?? '');

        return match ($this->peek()) {
            '' => 'the text ends inside a quoted text; it was probably cut short',
            '\\' => 'a backslash in a text is written twice',
            default => 'a line ends inside a quoted text',
        };
    }
}
