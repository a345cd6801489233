<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\Piece;
use PlainLedger\Core\Naming\PieceValues;

/** Takes a pattern apart. */
final readonly class PatternAtoms
{
    private function __construct(private PieceValues $values) {}

    /** @return list<Atom> */
    public static function of(NamePattern $pattern, PieceValues $values): array
    {
        $self = new self($values);
        $atoms = [];
        foreach ($pattern->pieces as $piece) {
            $atoms = [...$atoms, ...($piece->name === null ? $self->ofText($piece) : [$self->ofPiece($piece)])];
        }

        return $self->withLiteralExtension($atoms);
    }

    /** @return list<Atom> */
    private function ofText(Piece $piece): array
    {
        $marks = '~([^A-Za-z0-9\x80-\xFF]+)~';
        $texts = preg_split($marks, $piece->text, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];

        return array_map(
            static fn (string $text): Atom => preg_match($marks, $text) === 1
                ? new SeparatorAtom($piece, $text)
                : new WordAtom($piece, $text),
            $texts,
        );
    }

    private function ofPiece(Piece $piece): Atom
    {
        $text = $this->values->textOf($piece);

        return match (true) {
            $piece->isFrame() => new FrameAtom($piece, ''),
            $piece->name === 'ext' => new ExtensionAtom($piece, $text ?? '', $this->values->extensions),
            $text === null => new FreeAtom($piece, ''),
            $piece->name === 'version' && preg_match('~^\d+$~', $text) === 1 => new NumberAtom($piece, $text),
            default => new ValueAtom($piece, $text),
        };
    }

    /**
     * An extension written out at the end of a pattern (`.exr`) is an extension all the same.
     *
     * @param  list<Atom>  $atoms
     * @return list<Atom>
     */
    private function withLiteralExtension(array $atoms): array
    {
        [$dot, $word] = [$atoms[count($atoms) - 2] ?? null, $atoms[count($atoms) - 1] ?? null];
        if ($word instanceof WordAtom && $dot instanceof SeparatorAtom && str_ends_with($dot->asked, '.')) {
            $atoms[count($atoms) - 1] = new ExtensionAtom($word->piece, $word->asked, $this->values->extensions);
        }

        return array_values($atoms);
    }
}
