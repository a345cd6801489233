<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

/**
 * The codes by which deliverables are told apart, as people write them into names and folders: in any case, their
 * parts joined by whatever or nothing, their numbers filled with zeros or not.
 */
final readonly class OwnerWords
{
    /** @param  array<string, list<string>>  $keys  deliverables by the expression of their code, the longest first */
    private function __construct(private array $keys) {}

    /** @param  list<OwedDelivery>  $owed */
    public static function of(array $owed): self
    {
        $keys = [];
        $lengths = [];
        foreach ($owed as $one) {
            // where all of them share one value, it tells nothing
            foreach (self::telling($one, $owed) as $code) {
                $expression = self::expression($code);
                $keys[$expression][] = $one->key;
                $lengths[$expression] = max($lengths[$expression] ?? 0, strlen($code));
            }
        }
        arsort($lengths);

        return new self(array_map(static fn (string $e): array => $keys[$e], array_combine(
            array_keys($lengths),
            array_keys($lengths),
        )));
    }

    /**
     * @param  list<OwedDelivery>  $owed
     * @return array<string, string>
     */
    private static function telling(OwedDelivery $one, array $owed): array
    {
        $others = static fn (string $piece, string $value): array => array_filter(
            $owed,
            static fn (OwedDelivery $other): bool => ($other->codes()[$piece] ?? null) !== $value,
        );

        return array_filter(
            $one->codes(),
            static fn (string $value, string $piece): bool => count($owed) === 1 || $others($piece, $value) !== [],
            ARRAY_FILTER_USE_BOTH,
        );
    }

    private static function expression(string $code): string
    {
        preg_match_all('~\d+|[^\d\W_]+~u', mb_strtolower($code), $runs);
        $parts = array_map(
            static fn (string $run): string => ctype_digit($run) ? '0*'.ltrim($run, '0') : preg_quote($run, '~'),
            $runs[0] === [] ? [mb_strtolower($code)] : $runs[0],
        );
        $first = preg_match('~^\d~', $code) === 1 ? '(?<!\d)' : '(?<![^\W\d_])';
        $last = preg_match('~\d$~', $code) === 1 ? '(?!\d)' : '(?![^\W\d_])';

        return '~'.$first.implode('[\W_]*', $parts).$last.'~u';
    }

    /**
     * The deliverables whose code stands in a text; of codes within one another the longest.
     *
     * @return list<string> keys
     */
    public function in(string $text): array
    {
        $text = mb_strtolower(mb_scrub($text, 'UTF-8'));
        $found = [];
        foreach ($this->keys as $expression => $keys) {
            // what one code has taken is no other's
            $count = 0;
            $rest = preg_replace($expression, '/', $text, -1, $count);
            if ($count > 0 && $rest !== null) {
                $text = $rest;
                array_push($found, ...$keys);
            }
        }

        return array_values(array_unique($found));
    }
}
