<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `scene-not-saved`, `links-missing`, `draft-quality`. */
final readonly class SceneStateCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        yield from $this->notSaved($situation);
        yield from $this->links($situation);
        yield from $this->draft($situation);
    }

    /** @return iterable<Finding> */
    private function notSaved(Situation $situation): iterable
    {
        $id = RequirementId::SCENE_SAVED;
        if (! $situation->isUnequal($id) || $situation->scene()?->source->saved !== false) {
            return;
        }
        $says = 'Save the scene, then read its settings again.';
        yield Finding::of(
            CauseId::SceneNotSaved,
            Side::Scene,
            'The scene has unsaved changes: a render machine reads the file as it was saved last.',
            ['scene.saved is no'],
            [$id],
            [Fix::set($situation->part(), $id, 'scene saved', 'no', 'yes', $says)],
        );
    }

    /** @return iterable<Finding> */
    private function links(Situation $situation): iterable
    {
        $id = RequirementId::SCENE_LINKS;
        if (! $situation->isUnequal($id)) {
            return;
        }
        $links = array_filter(
            $situation->scene()->source->links ?? [],
            static fn (array $l): bool => $l['present'] === false,
        );
        $missing = array_map(static fn (array $l): string => Text::shown($l['path']), array_values($links));
        $named = mb_strimwidth(implode(', ', $missing), 0, 200, '…');
        $says = 'Find the missing files, or link others in their place.';
        yield Finding::of(
            CauseId::LinksMissing,
            Side::Scene,
            Text::count(count($missing), 'linked file is', 'linked files are')." not there: {$named}.",
            array_slice($missing, 0, 20),
            [$id],
            [Fix::set($situation->part(), $id, 'the linked files', 'missing', 'present', $says)],
        );
    }

    /** @return iterable<Finding> */
    private function draft(Situation $situation): iterable
    {
        $draft = $situation->inScene(RequirementId::RENDER_QUALITY)
            && $situation->told(RequirementId::RENDER_QUALITY) === 'draft';
        $few = $situation->inScene(RequirementId::RENDER_SAMPLES);
        $least = $situation->entry(RequirementId::RENDER_SAMPLES)?->requirement->value->min;
        if (! $draft && (! $few || $least === null)) {
            return;
        }
        $samples = $situation->told(RequirementId::RENDER_SAMPLES);
        yield Finding::of(
            CauseId::DraftQuality,
            Side::Scene,
            $draft ? 'The quality is draft.' : "Samples are {$samples}, and at least {$least} are asked.",
            [
                ...($draft ? ['render.quality is draft'] : []),
                ...($samples === null ? [] : ["render.samples is {$samples}"]),
            ],
            [RequirementId::RENDER_QUALITY, RequirementId::RENDER_SAMPLES],
            $this->final($situation, $draft, $few ? $least : null),
        );
    }

    /** @return list<Fix> */
    private function final(Situation $situation, bool $draft, ?string $least): array
    {
        $part = $situation->part();
        $samples = $situation->told(RequirementId::RENDER_SAMPLES);
        $quality = Fix::set($part, RequirementId::RENDER_QUALITY, 'the quality', 'draft', 'final');

        return [
            ...($draft ? [$quality] : []),
            ...(
                $least === null ? [] : [Fix::set($part, RequirementId::RENDER_SAMPLES, 'the samples', $samples, $least)]
            ),
        ];
    }
}
