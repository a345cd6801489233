<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Catalogue;

use PlainLedger\Core\Specification\Accepts;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Wording;

/** What can be asked of a scene: its camera, its state, how and where it renders. */
final readonly class SceneRequirements
{
    /** @return list<Descriptor> in the ledger’s order */
    public static function all(): array
    {
        return [
            new Descriptor(
                RequirementId::CAMERA_NAME,
                Group::Camera,
                'Camera',
                ValueType::Camera,
                [ReadFrom::Scene, ReadFrom::Frames],
                new Wording(
                    'It is seen through %s.',
                    also: 'view, lens, shot camera',
                    exact: ['*' => 'It is seen through a camera of the scene, whichever.'],
                ),
                new Accepts('cam_*', several: true),
            ),
            new Descriptor(
                RequirementId::CAMERA_SINGLE,
                Group::Camera,
                'One camera of the scene',
                ValueType::YesNo,
                [ReadFrom::Scene],
                new Wording(
                    'Exactly one camera of the scene is chosen: %s.',
                    also: 'one camera, camera that renders, working view',
                ),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::CAMERA_EXPOSURE,
                Group::Camera,
                'Camera exposure',
                ValueType::Word,
                [ReadFrom::Scene],
                new Wording('The camera’s exposure is %s.', also: 'auto exposure, aperture, brightness'),
                new Accepts('manual', words: ['manual', 'auto']),
            ),
            new Descriptor(
                RequirementId::SCENE_SAVED,
                Group::Scene,
                'Scene saved',
                ValueType::YesNo,
                [ReadFrom::Scene],
                new Wording('The scene is saved: %s.', also: 'unsaved changes, save'),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::SCENE_LINKS,
                Group::Scene,
                'Linked files present',
                ValueType::YesNo,
                [ReadFrom::Scene],
                new Wording(
                    'Every linked file is present: %s.',
                    also: 'textures, references, missing files, caches, assets',
                ),
                new Accepts('yes'),
            ),
            new Descriptor(
                RequirementId::RENDER_RENDERER,
                Group::Render,
                'Renderer',
                ValueType::Text,
                [ReadFrom::Scene],
                new Wording('It is rendered with %s.', also: 'engine, renderer'),
                new Accepts('', several: true),
            ),
            new Descriptor(
                RequirementId::RENDER_QUALITY,
                Group::Render,
                'Quality',
                ValueType::Word,
                [ReadFrom::Scene],
                new Wording('The quality is %s.', also: 'draft, preview, final'),
                new Accepts('final', words: ['final', 'draft']),
            ),
            new Descriptor(
                RequirementId::RENDER_SAMPLES,
                Group::Render,
                'Samples',
                ValueType::Whole,
                [ReadFrom::Scene],
                new Wording('Samples are %s.', also: 'noise, anti-aliasing, sampling'),
                new Accepts('128', bounds: true, plain: 'min'),
            ),
            new Descriptor(
                RequirementId::RENDER_MOTION_BLUR,
                Group::Render,
                'Motion blur',
                ValueType::OnOff,
                [ReadFrom::Scene],
                new Wording('Motion blur is %s.', also: 'shutter, blur'),
                new Accepts('on'),
            ),
            new Descriptor(
                RequirementId::RENDER_POST_EFFECTS,
                Group::Render,
                'Post effects',
                ValueType::OnOff,
                [ReadFrom::Scene],
                new Wording('Post effects are %s.', also: 'glow, compositing, filters'),
                new Accepts('off'),
            ),
            new Descriptor(
                RequirementId::RENDER_OVERLAYS,
                Group::Render,
                'Overlays',
                ValueType::OnOff,
                [ReadFrom::Scene],
                new Wording('Overlays are %s.', also: 'grid, guides, helpers, gizmos, safe areas'),
                new Accepts('off'),
            ),
            new Descriptor(
                RequirementId::OUTPUT_FOLDER,
                Group::Output,
                'Output folder',
                ValueType::Pattern,
                [ReadFrom::Scene],
                new Wording(
                    'The scene writes into %s, inside its project.',
                    also: 'path, directory, render folder, where it is saved',
                ),
                new Accepts('renders/{shot}'),
            ),
            new Descriptor(
                RequirementId::OUTPUT_OVERWRITES,
                Group::Output,
                'Overwrites earlier files',
                ValueType::YesNo,
                [ReadFrom::Scene, ReadFrom::Delivery],
                new Wording(
                    'Earlier files are overwritten: %s.',
                    also: 'overwrite, replace, existing files',
                    exact: ['no' => 'No earlier file is overwritten.'],
                ),
                new Accepts('no'),
            ),
        ];
    }
}
