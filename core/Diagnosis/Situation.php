<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Scene\SceneSettings;

/** The lines of one part and what they were made from, as causes look at them. */
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
    public function side(string $id): string
    {
        return $this->inFiles($id) ? 'files' : 'scene';
    }

    public function found(string $id): ?string
    {
        $entry = $this->entry($id);

        return $this->inFiles($id) ? $entry?->files?->found : $entry?->scene?->found;
    }

    /**
     * A name or folder that is asked, with its values in it and `#` for the digits of the frame number, as one types it in.
     * Anything else as it is asked.
     */
    public function asTyped(string $id): string
    {
        $asked = $this->entry($id)->required ?? '';
        if ($asked === '' || ! in_array($id, ['naming.pattern', 'naming.folder', 'output.folder'], true)) {
            return $asked;
        }

        return NamePattern::parse($asked)->make($this->subject->specification->pieceValues($this->subject->part));
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
     * The facts of the whole frames that count, where all of them give the same answer.
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
        foreach ($this->ofOneKind() as $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->frames->alike as $alike) {
                if (! $alike->facts->isWhole() || $alike->frames->and($relevant)->isEmpty()) {
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

    /**
     * Passes of which no more is asked than of the others, where there are any.
     *
     * @return array<int, PassMatch>
     */
    private function ofOneKind(): array
    {
        $apart = $this->subject->part->ofPasses;
        $plain = array_filter($this->passes(), static fn (PassMatch $p): bool => ! isset($apart[$p->pass ?? '']));

        return $plain === [] ? $this->passes() : $plain;
    }
}
