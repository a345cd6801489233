<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\DeliveryPlace;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\ExactName;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** The files of one part, or of one pass of it, as they are owed: under which names, where, and which frames. */
final readonly class ExpectedFiles
{
    public ?NamePattern $pattern;

    public ?NamePattern $folder;

    public bool $numbered;

    public ?FrameRange $expected;

    /**
     * @param  Part  $part  as it has to be for this pass
     * @param  list<string>  $siblings  the other passes that come as files of their own
     * @param  DeliveryPlace  $place  of the folder that was delivered
     */
    public function __construct(
        public Part $part,
        public ?string $pass,
        public PieceValues $values,
        ?FrameRange $timeline,
        private array $siblings,
        private DeliveryPlace $place = new DeliveryPlace,
    ) {
        $name = $part->single(RequirementId::NAMING_PATTERN);
        $folder = $part->single(RequirementId::NAMING_FOLDER);
        $this->pattern = $name === null ? null : NamePattern::parse($name);
        $this->folder = $folder === null ? null : NamePattern::parse($folder);
        $this->numbered = $part->delivers === Delivers::Frames || ($this->pattern?->has('frame') ?? false);
        $this->expected = $this->numbered ? $part->expected($timeline) : null;
    }

    /** The name asked, `#` for each digit of the frame number and `*` for an extension that is open. */
    public function asking(): string
    {
        return $this->pattern === null
            ? ''
            : $this->pattern->make(
                $this->values->withExtensions($this->values->extensions === [] ? ['*'] : $this->values->extensions),
            );
    }

    /** @param  list<string>  $extensions  those that are right for the file */
    public function exactName(array $extensions, bool $withNumber = true): ?ExactName
    {
        return $this->pattern === null
            ? null
            : ExactName::of($this->pattern, $this->values->withExtensions($extensions), $withNumber);
    }

    public function folderFits(string $folder): bool
    {
        if ($this->folder === null || $this->folder->matchesFolder($folder, $this->values)) {
            return true;
        }
        // the folder that was chosen may be the one asked, or one above it
        $deep = count(explode('/', NamePattern::tidyFolder($this->folder->make($this->values))));
        $below = $folder === '' ? [] : explode('/', $folder);
        $all = [...explode('/', $this->place->root), ...$below];
        $fits = $this->place->root !== ''
            && count($below) < $deep
            && count($all) >= $deep
            && $this->folder->matchesFolder(implode('/', array_slice($all, -$deep)), $this->values);

        return $fits || $this->fitsAsFarAsKnown([...$this->place->knownFolders(), ...$below], $deep);
    }

    /**
     * Of what was packed or picked it is not known in which folders it lay above that.
     *
     * @param  list<string>  $known
     * @param  int  $deep  how many folders are asked
     */
    private function fitsAsFarAsKnown(array $known, int $deep): bool
    {
        return $this->place->known !== null
            && count($known) < $deep
            && ($this->folder?->matchesFolder(implode('/', $known), $this->values, count($known)) ?? true);
    }

    /**
     * Whether what lies in a folder can be this pass at all: where only the folder tells passes apart, another's is
     * none.
     */
    public function mayLieIn(string $folder): bool
    {
        if (
            $this->pass === null
            || $this->siblings === []
            || ($this->pattern?->has('pass') ?? false)
            || $this->folderFits($folder)
        ) {
            return true;
        }
        $near = static fn (string $pass): int => min(
            array_map(
                static fn (string $word): int => levenshtein(strtolower($pass), strtolower($word)),
                explode('/', "{$folder}/"),
            ),
        );
        $own = $near($this->pass);
        $others = array_map($near, $this->siblings);

        return $own <= min(2, intdiv(strlen($this->pass), 3)) && $own < min($others);
    }

    public function asksFor(?Kind $kind): bool
    {
        return $this->part->kinds() === [] || in_array($kind, $this->part->kinds(), true);
    }

    /**
     * Those of all parts and passes of a specification.
     *
     * @param  FrameRange|null  $timeline  the animation's own range, where the scene tells it
     * @param  DeliveryPlace  $place  of the folder that the delivery lies in
     * @return list<self>
     */
    public static function all(Specification $specification, ?FrameRange $timeline, DeliveryPlace $place): array
    {
        $all = [];
        foreach ($specification->parts as $part) {
            $passes = $part->passesByFiles() ? $part->passes() : [null];
            $values = $specification->pieceValues($part);
            foreach ($passes as $pass) {
                $own = $part->ofPass($pass);
                $ownValues = $own === $part ? $values : $specification->pieceValues($own);
                $named = $pass === null ? $values : $ownValues->with('pass', $pass);
                $others = array_filter($passes, static fn (?string $p): bool => $p !== null && $p !== $pass);
                $all[] = new self($own, $pass, $named, $timeline, array_values($others), $place);
            }
        }

        return $all;
    }
}
