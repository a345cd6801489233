<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Naming\Atoms\Atom;
use PlainLedger\Core\Naming\Atoms\FrameAtom;

/** A pattern's atoms laid against a name's tokens in the way that assumes least, by dynamic programming over costs. */
final class Alignment
{
    /** What a token costs that belongs to no piece. */
    private const EXTRA = 15;

    /** More: a number makes it another file. */
    private const EXTRA_NUMBER = 30;

    private const EXTRA_SPACE = 6;

    /** @var array<int, array<int, array{int, int, bool}>> cost, next token, whether this token is extra */
    private array $memo = [];

    /** @var list<int> where each token begins, and where the last one ends */
    private readonly array $offsets;

    /**
     * @param  list<Atom>  $atoms
     * @param  list<string>  $tokens
     */
    private function __construct(
        private readonly string $name,
        private readonly array $atoms,
        private readonly array $tokens,
        private readonly AtomCosts $costs,
    ) {
        $offsets = [0];
        foreach ($tokens as $i => $token) {
            $offsets[] = $offsets[$i] + strlen($token);
        }
        $this->offsets = $offsets;
    }

    /** @param  list<Atom>  $atoms */
    public static function read(string $name, array $atoms, AtomCosts $costs): NameReading
    {
        $alignment = new self($name, $atoms, NameTokens::of($name), $costs);
        $cost = $alignment->best(0, 0);

        return $alignment->trace($cost);
    }

    /** The least that the atoms from $i and the tokens from $j on cost together. */
    private function best(int $i, int $j): int
    {
        $this->memo[$i][$j] ??= $i === count($this->atoms) ? $this->rest($j) : $this->next($i, $j);

        return $this->memo[$i][$j][0];
    }

    /** @return array{int, int, bool} where all atoms have had theirs */
    private function rest(int $j): array
    {
        $left = 0;
        for ($k = $j; $k < count($this->tokens); $k++) {
            $left += $this->extra($k);
        }

        return [$left, $j, false];
    }

    /** @return array{int, int, bool} */
    private function next(int $i, int $j): array
    {
        [$best, $next] = [PHP_INT_MAX, $j];
        $end = min(count($this->tokens), $j + $this->atoms[$i]->span());
        $before = $this->tokens[$j - 1] ?? '';
        for ($k = $j; $k <= $end; $k++) {
            $own = $this->costs->of($this->atoms[$i], $this->text($j, $k), $k - $j, $before);
            if ($own === null || $own >= $best) {
                continue;
            }
            $cost = $own + $this->best($i + 1, $k);
            if ($cost < $best) {
                [$best, $next] = [$cost, $k];
            }
        }
        if ($j < count($this->tokens) && $best > self::EXTRA) {
            $cost = $this->extra($j) + $this->best($i, $j + 1);
            if ($cost < $best) {
                return [$cost, $j + 1, true];
            }
        }

        return [$best, $next, false];
    }

    private function text(int $from, int $to): string
    {
        return substr($this->name, $this->offsets[$from], $this->offsets[$to] - $this->offsets[$from]);
    }

    private function extra(int $j): int
    {
        return match (true) {
            $this->tokens[$j] === ' ' => self::EXTRA_SPACE,
            ctype_digit($this->tokens[$j]) => self::EXTRA_NUMBER,
            default => self::EXTRA,
        };
    }

    private function trace(int $cost): NameReading
    {
        $pieces = [];
        $digitRun = null;
        [$i, $j] = [0, 0];
        while ($i < count($this->atoms)) {
            [, $next, $isExtra] = $this->memo[$i][$j];
            $found = $this->text($j, $next);
            if ($isExtra) {
                $pieces[] = self::extraPiece($found);
            } else {
                $atom = $this->atoms[$i];
                if ($atom instanceof FrameAtom && $found !== '') {
                    $digitRun = count(array_filter(array_slice($this->tokens, 0, $j), ctype_digit(...)));
                }
                $pieces[] = new PieceReading($atom->label(), $atom->shown(), $found, $atom->differences($found));
                $i++;
            }
            $j = $next;
        }
        if ($j < count($this->tokens)) {
            $pieces[] = self::extraPiece($this->text($j, count($this->tokens)));
        }

        return new NameReading($this->name, $pieces, $cost, $digitRun);
    }

    private static function extraPiece(string $found): PieceReading
    {
        $difference = match (true) {
            trim($found) === '' => Difference::Spaces,
            trim($found, '.') === '' => Difference::Dots,
            default => Difference::Value,
        };

        return new PieceReading('extra', '', $found, [$difference]);
    }
}
