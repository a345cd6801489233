<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Diagnosis\CauseId;

/** What to do next time so that it does not go wrong again, a sentence a cause. */
final readonly class NextTime
{
    private const SAYS = [
        'nothing-delivered' => 'Look into the folder before you hand in: the files have to lie where they are asked.',
        'movie-instead-of-frames' => 'Render single frames; a movie is made of them afterwards, if one is asked.',
        'frames-instead-of-movie' => 'Make the movie from your frames, and hand in the movie.',
        'pass-missing' => 'Switch every pass that is asked on before you render, and look for its files afterwards.',
        'still-arriving' => 'Hand in when the render, or the copy, has come to its end.',
        'starting-size' => 'Set the size first: this is what a new scene begins with.',
        'range-never-set' => 'Set the frame range first: this is what a new scene begins with.',
        'single-frame-mode' => 'Look whether one frame or the whole range is set to be rendered before you start.',
        'handles-left-out' => 'Add the handles to both ends of the range: the cut needs a little more than it shows.',
        'handles-not-asked' => 'Render the range as it is asked, without frames before and after it.',
        'step-left-on' => 'Set the step back to 1 after test renders.',
        'range-short-of-timeline' => 'Compare the range with your animation: some of it is left out.',
        'resaved-later' => 'Do not save single frames again in another program; render them once more instead.',
        'settings-changed-midway' => 'Leave settings alone until all frames are rendered, or render all of them again.',
        'two-takes-mixed' => 'Render each take into a folder of its own, so that old and new frames do not mix.',
        'scale-below-full' => 'Set the scale back to 100 % after test renders.',
        'scale-above-full' => 'Set the scale to 100 %: larger is not better where a size is asked.',
        'turned-by-metadata' => 'Render upright at the asked size instead of having a player turn it.',
        'stretched-in-assembly' => 'When frames become a movie, keep their shape: same width to height as they have.',
        'sides-swapped' => 'Read the size as width first, then height.',
        'square-pixel-size' => 'Read size and pixel aspect together: this is the size for pixels of another shape.',
        'smaller-preset' => 'A preset brings its own size with it; look at the numbers after choosing one.',
        'numbered-from-elsewhere' => 'Begin numbering where the range begins.',
        'last-frame-left-out' => 'Count: from 1 to 96 are 96 frames, the last one is rendered too.',
        'stills-held' => 'In the movie each frame stands once; look at the rate it is read with.',
        'frames-in-wrong-order' => 'Give every frame the same number of digits, so that they are read in order.',
        'movie-short' => 'Compare the length of the movie with its frames before you hand in.',
        'movie-long' => 'Compare the length of the movie with its frames before you hand in.',
        'render-stopped' => 'Look at the last frame after a long render; what is missing is rendered from there on.',
        'resume-leaves-gap' => 'When you go on with a render, begin at the first frame that is not whole.',
        'range-set-otherwise' => 'Compare the range of the scene with the one that is asked before you render.',
        'frames-dropped' => 'Count the frames before you hand in, and render those that are missing.',
        'off-by-rounding' => 'Type the size as it is asked; a size worked out by a scale is easily one pixel off.',
        'region-left-on' => 'Switch the render region off before a final render.',
        'pixel-aspect-differs' => 'Set the pixel aspect as asked; for most work pixels are square.',
        'not-two-to-one' => 'A picture of all around is twice as wide as it is high.',
        'spherical-not-tagged' => 'Write the tag that says a picture shows all around, so that players know it.',
        'wrong-shape' => 'Compare width to height with what is asked: this is another shape.',
        'variable-rate' => 'Make the movie with a constant frame rate.',
        'rate-of-another-standard' => 'Set the frame rate of the scene before you animate; each standard has its own.',
        'speed-changed' => 'Leave the speed of the animation as it was made.',
        'no-start-timecode' => 'Set the start timecode where the movie is made.',
        'scene-not-saved' => 'Save the scene before you render, so that it is what you hand in.',
        'links-missing' => 'Open the list of linked files, and mend what is missing before you render.',
        'draft-quality' => 'Set the quality to final; drafts are for trying out.',
        'no-camera' => 'Choose the camera that is rendered.',
        'several-cameras' => 'Choose one camera for the render, not several.',
        'working-view-rendered' => 'Render through the shot’s camera, not through the view you work in.',
        'another-camera' => 'Look which camera is chosen for the render before you start.',
        'extension-lies' => 'Save in the asked format; another ending does not make it one.',
        'lossy-instead-of-lossless' => 'Render into a format that loses nothing; what is lost does not come back.',
        'alpha-cannot-live-here' => 'Choose a format that can hold transparency where transparency is asked.',
        'alpha-not-saved' => 'Switch on that transparency is saved.',
        'alpha-all-opaque' => 'Switch the background off where transparency is asked; lay one frame over a colour.',
        'alpha-not-asked' => 'Save without transparency where none is asked.',
        'depth-dropped' => 'Set the bits per channel in the output, and look at one file before you render them all.',
        'view-applied-twice' => 'Apply the view once: either when rendering or when the movie is made.',
        'view-missing' => 'Apply the asked view when pictures leave the scene’s own colours.',
        'effects-applied-twice' => 'Switch effects off where they are already in the frames.',
        'compression-differs' => 'Choose the asked compression in the settings of the format.',
        'codec-differs' => 'Choose the asked codec where the movie is made.',
        'quality-too-low' => 'Raise the quality in the settings of the format.',
        'chroma-halved' => 'Choose the asked chroma sampling where the movie is made.',
        'over-size-cap' => 'Work the bit rate out from the size that is allowed and the length.',
        'bit-rate-differs' => 'Set the bit rate where the movie is made.',
        'keyframes-too-far-apart' => 'Set the keyframe interval where the movie is made.',
        'b-frames-left-on' => 'Switch B-frames off where the movie is made.',
        'index-last' => 'Have the index written at the beginning of the movie, so that it plays while it loads.',
        'audio-missing' => 'Bring the sound in when the movie is made.',
        'audio-not-asked' => 'Make the movie without sound.',
        'audio-format-differs' => 'Set the sound’s sample rate, bits and channels as they are asked.',
        'fixed-name-overwrites' => 'Put the frame number into the name, or each frame is written over the one before.',
        'too-few-digits' => 'Give the frame number as many digits as are asked.',
        'too-many-digits' => 'Give the frame number as many digits as are asked.',
        'separator-differs' => 'Use the asked sign between the pieces of a name.',
        'number-in-wrong-place' => 'Put the frame number where the name asks for it.',
        'case-differs' => 'Mind capital and small letters in names: for many machines they are different.',
        'wrong-version' => 'Raise the version in the name when you render anew.',
        'value-of-another' => 'Look whose name stands in your output path, above all after copying a scene.',
        'value-misspelled' => 'Copy names from the sheet instead of typing them.',
        'dots-inside' => 'Leave out dots inside a name; they part it where it should hold together.',
        'spaces-inside' => 'Leave out spaces in names.',
        'extension-spelled-otherwise' => 'Write the ending as it is asked.',
        'copy-suffix' => 'A name with “copy” or a number behind it is a second copy: hand in the first one.',
        'saved-elsewhere' => 'Set the output folder before you render.',
        'pass-not-saved' => 'Have every pass written to files, not only shown.',
        'empty-file' => 'Look at the sizes of your files: empty ones are rendered again.',
        'cut-short' => 'Look at the last file of a render that broke off; it is rarely whole.',
        'checksum-fails' => 'Copy the files again, and compare the sums afterwards.',
        'black-frames' => 'Look at your frames before you hand in; black ones are rendered again.',
        'pictures-repeated' => 'Animate and render at the same rate, so that no picture stands twice.',
        'frozen-frames' => 'Play your frames once: where nothing moves, something was not updated.',
        'hold-too-short' => 'Let beginning and end stand still for as long as is asked.',
        'seam-shown-twice' => 'In a loop the last frame comes just before the first; it is not the first again.',
        'leftovers' => 'Hand in what is asked and nothing else; empty the folder before you render into it.',
        'pass-short' => 'Compare the number of files of every pass.',
        'value-differs' => 'Compare this value with the sheet before you render.',
    ];

    /** Null for what is no cause. */
    public static function for(string $cause): ?string
    {
        return CauseId::tryFrom($cause) === null ? null : self::SAYS[$cause] ?? null;
    }

    /** @return list<string> ids of causes that something is said of */
    public static function causes(): array
    {
        return array_keys(self::SAYS);
    }
}
