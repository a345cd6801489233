<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Naming\Atoms\Atom;
use PlainLedger\Core\Naming\Atoms\FrameAtom;
use PlainLedger\Core\Naming\Atoms\PatternAtoms;
use PlainLedger\Core\Naming\Atoms\SeparatorAtom;

/**
 * Reads a name that is not as its pattern makes it, by the reading that assumes least: straight, without a mark that it
 * is a copy, or with its number elsewhere.
 */
final readonly class ApproximateName
{
    private const MOVED = 12;

    private const MOVED_OTHER_DIGITS = 6;

    private const COPIED = 8;

    /** A name that far from the pattern is not read again with its number elsewhere. */
    private const HOPELESS = 150;

    /** What a name costs that nobody meant by a pattern. */
    private const STRANGE = 600;

    private const LONGEST_NAME = 255;

    private const MOST_TOKENS = 48;

    private const MOST_NUMBERS = 8;

    /** @param  list<Atom>  $atoms */
    private function __construct(private array $atoms, private AtomCosts $costs) {}

    public static function of(NamePattern $pattern, PieceValues $values): self
    {
        return new self(PatternAtoms::of($pattern, $values), new AtomCosts);
    }

    public function read(string $name): NameReading
    {
        $name = substr($name, 0, self::LONGEST_NAME);
        if (NameTokens::count($name) > self::MOST_TOKENS) {
            // laying it against the pattern would take long
            $all = new PieceReading('extra', '', $name, [Difference::Value]);

            return new NameReading($name, [$all], self::STRANGE, null);
        }
        $straight = Alignment::read($name, $this->atoms, $this->costs);
        if ($straight->fits()) {
            return $straight;
        }
        $mark = CopyMark::in($name);
        $best = $mark === null ? $straight : $this->copied($name, $mark, $straight);
        $moved = self::mayBeMoved($best) ? $this->moved($name) : null;

        return $moved !== null && $moved->cost < $best->cost ? $moved : $best;
    }

    /** Whether a number that stands elsewhere could explain it better. */
    private static function mayBeMoved(NameReading $reading): bool
    {
        $isLikely = $reading->cost > self::MOVED && $reading->cost <= self::HOPELESS;

        return $isLikely && ! self::hasItsNumber($reading);
    }

    /** Whether the number stands where it should, as it should be written, and nothing is left over beside it. */
    private static function hasItsNumber(NameReading $reading): bool
    {
        $has = false;
        foreach ($reading->pieces as $piece) {
            if ($piece->piece === 'extra') {
                return false;
            }
            $has = $has || ($piece->piece === 'frame' && $piece->differences === [] && $piece->found !== '');
        }

        return $has;
    }

    /** The name without the mark that it is a copy, where that reads better. */
    private function copied(string $name, CopyMark $mark, NameReading $straight): NameReading
    {
        $plain = $mark->without($name);
        $reading = Alignment::read($plain, $this->atoms, $this->costs);
        $moved = self::mayBeMoved($reading) ? $this->moved($plain) : null;
        if ($moved !== null && $moved->cost < $reading->cost) {
            $reading = $moved;
        }
        $cost = $reading->cost + self::COPIED;

        return $cost < $straight->cost
            ? new NameReading($name, [...$reading->pieces, $mark->piece()], $cost, $reading->digitRun)
            : $straight;
    }

    /** The number stands elsewhere: taken out, the rest is read by the pattern without it. */
    private function moved(string $name): ?NameReading
    {
        $at = $this->numberAt();
        if ($at === null || preg_match_all('~\d+~', $name, $runs, PREG_OFFSET_CAPTURE) < 1) {
            return null;
        }
        $best = null;
        foreach (array_slice($runs[0], 0, self::MOST_NUMBERS, true) as $run => [$digits, $offset]) {
            foreach (self::cut($name, $offset, $offset + strlen($digits)) as $rest) {
                foreach ($this->withoutNumber($at) as $atoms) {
                    $reading = Alignment::read($rest, $atoms, $this->costs);
                    if ($best === null || $reading->cost + self::MOVED < $best->cost) {
                        $best = $this->withNumber($name, $reading, $at, $digits, $run);
                    }
                }
            }
        }

        return $best;
    }

    /** Which atom is the number of the frame. */
    private function numberAt(): ?int
    {
        $at = null;
        foreach ($this->atoms as $i => $atom) {
            $at = $atom instanceof FrameAtom ? $i : $at;
        }

        return $at;
    }

    /** @return list<string> the name without a number, and without one mark beside it where there is any */
    private static function cut(string $name, int $from, int $to): array
    {
        $cuts = [];
        if ($from > 0 && ! ctype_alnum($name[$from - 1])) {
            $cuts[] = substr($name, 0, $from - 1).substr($name, $to);
        }
        if ($to < strlen($name) && ! ctype_alnum($name[$to])) {
            $cuts[] = substr($name, 0, $from).substr($name, $to + 1);
        }

        return array_values(array_unique([...$cuts, substr($name, 0, $from).substr($name, $to)]));
    }

    /** @return list<list<Atom>> the pattern without its number, and without the separator before or after it */
    private function withoutNumber(int $at): array
    {
        $patterns = [];
        foreach ([$at - 1, $at + 1] as $beside) {
            if (($this->atoms[$beside] ?? null) instanceof SeparatorAtom) {
                $patterns[] = array_values(array_diff_key($this->atoms, [$at => true, $beside => true]));
            }
        }

        return [...$patterns, array_values(array_diff_key($this->atoms, [$at => true]))];
    }

    private function withNumber(string $name, NameReading $rest, int $at, string $digits, int $run): NameReading
    {
        /** @var FrameAtom $frame */
        $frame = $this->atoms[$at];
        $differ = $frame->digitsDiffer($digits);
        $piece = new PieceReading('frame', $frame->shown(), $digits, [Difference::NumberPlace, ...$differ]);
        $cost = $rest->cost + self::MOVED + ($differ === [] ? 0 : self::MOVED_OTHER_DIGITS);

        return new NameReading($name, [...$rest->pieces, $piece], $cost, $run);
    }
}
