<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Naming\Atoms\Atom;
use PlainLedger\Core\Naming\Atoms\FoundText;
use PlainLedger\Core\Naming\Atoms\FrameAtom;

/** What atoms cost as texts, worked out once: names are laid against a pattern in many ways, of the same tokens. */
final class AtomCosts
{
    /** So many texts are kept in mind; many names share few. */
    private const MOST = 50_000;

    /** @var array<int, array<string, int|null>> by atom and text */
    private array $known = [];

    private int $count = 0;

    public function of(Atom $atom, string $text, int $tokens, string $before): ?int
    {
        if ($atom instanceof FrameAtom) {
            // what stands before a number may make its dash a sign
            return $atom->cost(new FoundText($text, $tokens, $before));
        }
        $id = spl_object_id($atom);
        if (! array_key_exists($text, $this->known[$id] ?? [])) {
            if (++$this->count > self::MOST) {
                [$this->known, $this->count] = [[], 1];
            }
            $this->known[$id][$text] = $atom->cost(new FoundText($text, $tokens, $before));
        }

        return $this->known[$id][$text];
    }
}
