<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Naming\PieceReading;

/** The pieces in which a name differs from what is asked, each with the cause it stands for. */
final readonly class NameDifferences
{
    public function __construct(private Situation $situation) {}

    /**
     * @param  Take|null  $take  the files of that name, where there are any
     * @return iterable<array{CauseId, Difference, PieceReading}>
     */
    public function of(NameReading $reading, ?Take $take): iterable
    {
        if (! $reading->aligns() && ! $reading->isNear()) {
            // nothing of it was meant by the pattern; told as a whole
            $asked = implode('', array_map(static fn (PieceReading $p): string => $p->asked, $reading->pieces));
            $piece = new PieceReading('name', $asked, $reading->name, [Difference::Value]);
            yield [$this->cause(Difference::Value, $piece), Difference::Value, $piece];

            return;
        }
        foreach ($reading->differing() as $piece) {
            foreach ($this->isToldByContent($piece, $take) ? [] : $piece->differences as $difference) {
                yield [$this->cause($difference, $piece), $difference, $piece];
            }
        }
    }

    /** A wrong extension that the content contradicts is told as such. */
    private function isToldByContent(PieceReading $piece, ?Take $take): bool
    {
        return $piece->piece === 'ext'
            && $take !== null
            && $piece->differences === [Difference::Value]
            && Kind::fromExtension(Extension::of($take->sequence->sampleName())) !== null;
    }

    /** A word is no slip of the pen where somebody else's deliverable is called just that. */
    private function cause(Difference $difference, PieceReading $piece): CauseId
    {
        $others = array_map(strtolower(...), $this->situation->subject->others[$piece->piece] ?? []);
        $mayBe = in_array($difference, [Difference::Misspelled, Difference::Value], true);

        return $mayBe && in_array(strtolower($piece->found), $others, true)
            ? CauseId::ValueOfAnother
            : CauseId::from($difference->value);
    }
}
