<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\RequirementId;

/** How to find out what a scene's settings do not tell. */
final readonly class SettingHints
{
    private const SAYS = [
        RequirementId::PICTURE_RESOLUTION => 'Read width and height off the output settings.',
        RequirementId::PICTURE_SCALE => 'Look beside the size for a percentage or a factor; without one it is 100.',
        RequirementId::PICTURE_REGION => 'See whether a part of the picture is marked to be rendered alone, and '
            .'whether that is switched on.',
        RequirementId::TIME_RATE => 'Read it off the time settings; a rate such as 23.976 is often a separate base '
            .'and factor.',
        RequirementId::TIME_RANGE => 'Read first and last frame off the output settings, not off the playback range.',
        RequirementId::TIME_STEP => 'Look beside first and last frame for “every n-th”.',
        RequirementId::TIME_SPEED => 'Look for two lengths, before and after: where they are equal it is 1/1.',
        RequirementId::TIME_EXTENT => 'See whether the output is set to one frame, to a typed range or to the whole '
            .'timeline.',
        RequirementId::CAMERA_NAME => 'See which camera the output names, not through which one you look.',
        RequirementId::CAMERA_SINGLE => 'See which views are set to be rendered, and whether each is a camera of '
            .'the scene.',
        RequirementId::CAMERA_EXPOSURE => 'Look among the camera’s own settings.',
        RequirementId::SCENE_SAVED => 'The title of the window shows unsaved changes, most often by a star or a dot.',
        RequirementId::SCENE_LINKS => 'Open the list of linked files and look for missing ones.',
        RequirementId::RENDER_SAMPLES => 'Read the number used for the final picture, not for the preview.',
        RequirementId::RENDER_POST_EFFECTS => 'See whether the finished picture passes through effects after it is '
            .'rendered.',
        RequirementId::RENDER_OVERLAYS => 'See whether grid, guides or helpers are drawn into the output.',
        RequirementId::OUTPUT_FOLDER => 'Read the output path; what is left empty goes to a default place.',
        RequirementId::OUTPUT_OVERWRITES => 'See whether existing files are kept, skipped or replaced.',
        RequirementId::NAMING_PATTERN => 'Read the output name with the place of its frame number, or render one '
            .'frame and read its name.',
        RequirementId::PASSES => 'Open the list of passes and see which are switched on to be saved.',
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
