<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Scene\SceneSettings;

/** The lines of one part, or of one pass of it, and what they were made from, as causes look at them. */
final readonly class Situation
{
    /** @param  array<string, Entry>  $entries by id */
    public function __construct(public Subject $subject, public array $entries, public ?int $scannedAt) {}

    public function part(): string
    {
        return $this->subject->part->name;
    }

    public function scene(): ?SceneSettings
    {
        return $this->subject->scene;
    }

    /** What the scene is set to, as canonical text; null where it does not say. */
    public function told(string $id): ?string
    {
        return $this->subject->scene?->get($id);
    }

    /** What is asked, as one text; empty where nothing is. */
    public function asked(string $id): string
    {
        return $this->entry($id)->required ?? '';
    }

    /** The one value that the part is asked, whether there is a line of it or not. */
    public function askedOfPart(string $id): ?string
    {
        return $this->subject->part->single($id);
    }

    /** Frames are rendered again; a movie never is. */
    public function wouldRender(Side $side): bool
    {
        return $side === Side::Files && ! $this->subject->part->delivers->isMovie();
    }

    public function entry(string $id): ?Entry
    {
        return $this->entries[$id] ?? null;
    }

    public function isUnequal(string ...$ids): bool
    {
        foreach ($ids as $id) {
            if ($this->entry($id)?->isUnequal() ?? false) {
                return true;
            }
        }

        return false;
    }

    /** The line is unequal, and the files show it. */
    public function inFiles(string $id): bool
    {
        return $this->isUnequal($id) && ($this->entry($id)?->files?->isUnequal() ?? false);
    }

    /** The line is unequal, and the scene shows it. */
    public function inScene(string $id): bool
    {
        return $this->isUnequal($id) && ($this->entry($id)?->scene?->isUnequal() ?? false);
    }

    /** `files` where they show it, else `scene`. */
    public function side(string $id): Side
    {
        return $this->inFiles($id) ? Side::Files : Side::Scene;
    }

    /** What is found and is not as asked; never the value that most frames rightly have. */
    public function found(string $id): ?string
    {
        $entry = $this->entry($id);

        return $this->inFiles($id) ? $entry?->files?->differing : $entry?->scene?->found;
    }

    /** Whether every whole frame that counts shows the same. */
    public function isUniform(string $id): bool
    {
        return ! $this->inFiles($id) || ($this->entry($id)->files->runs ?? []) === [];
    }

    /** The frames that are wrong in a line by their files. */
    public function wrong(string $id): FrameRange
    {
        $sets = $this->inFiles($id) ? $this->entry($id)->files->wrong ?? [] : [];

        return array_reduce(
            $sets,
            static fn (FrameRange $all, FrameRange $f): FrameRange => $all->plus($f),
            FrameRange::none(),
        );
    }

    /** The frames that a fix for a line is about: null where files are not numbered, or nothing tells which. */
    public function framesOf(string $id): ?FrameRange
    {
        $wrong = $this->wrong($id);
        if (! $this->subject->isNumbered()) {
            return null;
        }

        return $wrong->isEmpty() ? $this->subject->onlyPass()?->relevant() : $wrong;
    }

    /** What is asked, as one types it in. */
    public function asTyped(string $id): string
    {
        $entry = $this->entry($id);

        return $entry === null ? '' : (new SettableValue($this->subject))->of($entry, $this->found($id));
    }

    public function label(string $id): string
    {
        return $this->entry($id)?->requirement->descriptor->label ?? $id;
    }

    /** @return array<int, PassMatch> by their place */
    public function passes(): array
    {
        return $this->subject->match->passes ?? [];
    }

    /**
     * The facts of the whole frames that count, where all of them give the same answer. Where kinds of files are mixed,
     * those of the kind that most of them are.
     *
     * @template T
     *
     * @param  \Closure(MediaFacts): T  $ask
     * @return T|null null where there are none, or they differ
     */
    public function shared(\Closure $ask): mixed
    {
        $answer = null;
        $any = false;
        $kind = $this->mainKind();
        foreach ($this->passes() as $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->frames->alike as $alike) {
                if (
                    ! $alike->facts->isWhole()
                    || $alike->facts->kind !== $kind
                    || $alike->frames->and($relevant)->isEmpty()
                ) {
                    continue;
                }
                $own = $ask($alike->facts);
                if ($any && $own !== $answer) {
                    return null;
                }
                [$answer, $any] = [$own, true];
            }
        }

        return $answer;
    }

    /** The kind that most of the whole files are. */
    public function mainKind(): ?Kind
    {
        $counts = [];
        foreach ($this->passes() as $pass) {
            foreach ($pass->frames->alike as $alike) {
                if ($alike->facts->isWhole() && $alike->facts->kind !== null) {
                    $counts[$alike->facts->kind->value] = ($counts[$alike->facts->kind->value] ?? 0)
                        + count($alike->frames);
                }
            }
        }
        arsort($counts);

        return $counts === [] ? null : Kind::tryFrom((string) array_key_first($counts));
    }
}
