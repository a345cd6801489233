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
        $part = $situation->part();
        if ($situation->isUnequal(RequirementId::SCENE_SAVED) && $situation->scene()?->saved === false) {
            yield Finding::of(
                CauseId::SceneNotSaved,
                Side::Scene,
                'The scene has unsaved changes: a render machine reads the file as it was saved last.',
                ['scene.saved is no'],
                [RequirementId::SCENE_SAVED],
                [
                    Fix::set(
                        $part,
                        RequirementId::SCENE_SAVED,
                        'scene saved',
                        'no',
                        'yes',
                        'Save the scene, then read its settings again.',
                    ),
                ],
            );
        }
        if ($situation->isUnequal(RequirementId::SCENE_LINKS)) {
            $missing = array_map(
                static fn (array $l): string => Text::shown($l['path']),
                array_values(
                    array_filter(
                        $situation->scene()->links ?? [],
                        static fn (array $l): bool => $l['present'] === false,
                    ),
                ),
            );
            yield Finding::of(
                CauseId::LinksMissing,
                Side::Scene,
                Text::count(count($missing), 'linked file')
                    .' '
                    .(count($missing) === 1 ? 'is' : 'are')
                    .' not there: '
                    .mb_strimwidth(implode(', ', $missing), 0, 200, '…')
                    .'.',
                array_slice($missing, 0, 20),
                [RequirementId::SCENE_LINKS],
                [
                    Fix::set(
                        $part,
                        RequirementId::SCENE_LINKS,
                        'the linked files',
                        'missing',
                        'present',
                        'Find the missing files, or link others in their place.',
                    ),
                ],
            );
        }
        $draft = $situation->inScene(RequirementId::RENDER_QUALITY)
            && $situation->scene()?->get(RequirementId::RENDER_QUALITY) === 'draft';
        if ($draft || $situation->inScene(RequirementId::RENDER_SAMPLES)) {
            $samples = $situation->scene()?->get(RequirementId::RENDER_SAMPLES);
            $least = $situation->entry(RequirementId::RENDER_SAMPLES)?->requirement->value->min;
            if ($draft || $least !== null) {
                yield Finding::of(
                    CauseId::DraftQuality,
                    Side::Scene,
                    $draft ? 'The quality is draft.' : "Samples are {$samples}, and at least {$least} are asked.",
                    array_values(
                        array_filter(
                            [
                                $draft ? 'render.quality is draft' : null,
                                $samples === null ? null : "render.samples is {$samples}",
                            ],
                        ),
                    ),
                    [RequirementId::RENDER_QUALITY, RequirementId::RENDER_SAMPLES],
                    [
                        ...(
                            $draft
                                ? [Fix::set($part, RequirementId::RENDER_QUALITY, 'the quality', 'draft', 'final')]
                                : []
                        ),
                        ...(
                            $situation->inScene(RequirementId::RENDER_SAMPLES)
                            && $least !== null
                                ? [Fix::set($part, RequirementId::RENDER_SAMPLES, 'the samples', $samples, $least)]
                                : []
                        ),
                    ],
                );
            }
        }
    }
}
