<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Text\Text;

/** `scene-not-saved`, `links-missing`, `draft-quality`. */
final readonly class SceneStateCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $part = $situation->part();
        if ($situation->isUnequal('scene.saved') && $situation->scene()?->saved === false) {
            yield new Finding('scene-not-saved', 'scene', 'The scene has unsaved changes: a render machine reads the file as it was saved last.', ['scene.saved is no'], ['scene.saved'], [Fix::set($part, 'scene.saved', 'scene saved', 'no', 'yes', 'Save the scene, then read its settings again.')]);
        }
        if ($situation->isUnequal('scene.links')) {
            $missing = array_map(static fn (array $l): string => Text::shown($l['path']), array_values(array_filter($situation->scene()->links ?? [], static fn (array $l): bool => $l['present'] === false)));
            yield new Finding('links-missing', 'scene', Text::count(count($missing), 'linked file').' '.(count($missing) === 1 ? 'is' : 'are').' not there: '.mb_strimwidth(implode(', ', $missing), 0, 200, '…').'.', array_slice($missing, 0, 20), ['scene.links'], [Fix::set($part, 'scene.links', 'the linked files', 'missing', 'present', 'Find the missing files, or link others in their place.')]);
        }
        $draft = $situation->inScene('render.quality') && $situation->scene()?->get('render.quality') === 'draft';
        if ($draft || $situation->inScene('render.samples')) {
            $samples = $situation->scene()?->get('render.samples');
            $least = $situation->entry('render.samples')?->requirement->value->min;
            if ($draft || $least !== null) {
                yield new Finding('draft-quality', 'scene', $draft ? 'The quality is draft.' : "Samples are {$samples}, and at least {$least} are asked.", array_values(array_filter([$draft ? 'render.quality is draft' : null, $samples === null ? null : "render.samples is {$samples}"])), ['render.quality', 'render.samples'],
                    [...($draft ? [Fix::set($part, 'render.quality', 'the quality', 'draft', 'final')] : []), ...($situation->inScene('render.samples') && $least !== null ? [Fix::set($part, 'render.samples', 'the samples', $samples, $least)] : [])]);
            }
        }
    }
}
