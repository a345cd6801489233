<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;

/** How to find out what a scene's settings do not tell. */
final readonly class SettingHints
{
    private const SAYS = [
        'picture.resolution' => 'Read width and height off the output settings.',
        'picture.scale' => 'Look beside the size for a percentage or a factor; without one it is 100.',
        'picture.region' => 'See whether a part of the picture is marked to be rendered alone, and whether that is switched on.',
        'time.rate' => 'Read it off the time settings; a rate such as 23.976 is often a separate base and factor.',
        'time.range' => 'Read first and last frame off the output settings, not off the playback range.',
        'time.step' => 'Look beside first and last frame for “every n-th”.',
        'time.speed' => 'Look for two lengths, before and after: where they are equal it is 1/1.',
        'time.extent' => 'See whether the output is set to one frame, to a typed range or to the whole timeline.',
        'camera.name' => 'See which camera the output names, not through which one you look.',
        'camera.single' => 'See which views are set to be rendered, and whether each is a camera of the scene.',
        'camera.exposure' => 'Look among the camera’s own settings.',
        'scene.saved' => 'The title of the window shows unsaved changes, most often by a star or a dot.',
        'scene.links' => 'Open the list of linked files and look for missing ones.',
        'render.samples' => 'Read the number used for the final picture, not for the preview.',
        'render.post_effects' => 'See whether the finished picture passes through effects after it is rendered.',
        'render.overlays' => 'See whether grid, guides or helpers are drawn into the output.',
        'output.folder' => 'Read the output path; what is left empty goes to a default place.',
        'output.overwrites' => 'See whether existing files are kept, skipped or replaced.',
        'naming.pattern' => 'Read the output name with the place of its frame number, or render one frame and read its name.',
        'passes' => 'Open the list of passes and see which are switched on to be saved.',
    ];

    public static function of(Descriptor $descriptor): ?string
    {
        if (! $descriptor->inScene()) {
            return null;
        }

        return self::SAYS[$descriptor->id] ?? match ($descriptor->group) {
            Group::Format => 'Read it off the format settings of the output; some show only once the format is chosen.',
            Group::Colour => 'Read it off the colour settings of the output, not of the display.',
            Group::Sound => 'Look among the sound settings of the output.',
            default => 'Read it off the scene and type it in.',
        };
    }
}
