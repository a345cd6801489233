<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** The one list in which causes are weighed for an entry: the first that holds explains it. */
final readonly class CauseOrder
{
    public const CAUSES = [
        'nothing-delivered', 'movie-instead-of-frames', 'frames-instead-of-movie', 'pass-missing', 'still-arriving',
        'starting-size', 'range-never-set',
        'single-frame-mode', 'handles-left-out', 'handles-not-asked', 'step-left-on', 'range-short-of-timeline',
        'resaved-later', 'settings-changed-midway', 'two-takes-mixed',
        'scale-below-full', 'scale-above-full', 'sides-swapped', 'square-pixel-size', 'smaller-preset',
        'numbered-from-elsewhere', 'last-frame-left-out',
        'render-stopped', 'resume-leaves-gap', 'range-set-otherwise', 'frames-dropped',
        'off-by-rounding', 'region-left-on', 'pixel-aspect-differs', 'not-two-to-one', 'spherical-not-tagged', 'wrong-shape',
        'rate-of-another-standard', 'speed-changed', 'scene-not-saved', 'links-missing', 'draft-quality',
        'no-camera', 'several-cameras', 'working-view-rendered', 'another-camera',
        'extension-lies', 'lossy-instead-of-lossless', 'alpha-cannot-live-here', 'alpha-not-saved', 'alpha-all-opaque', 'alpha-not-asked', 'depth-dropped',
        'view-applied-twice', 'view-missing', 'effects-applied-twice', 'compression-differs', 'codec-differs', 'quality-too-low', 'chroma-halved',
        'over-size-cap', 'bit-rate-differs', 'keyframes-too-far-apart', 'b-frames-left-on',
        'audio-missing', 'audio-not-asked', 'audio-format-differs',
        'fixed-name-overwrites', 'too-few-digits', 'too-many-digits', 'separator-differs', 'number-in-wrong-place', 'case-differs', 'wrong-version', 'value-of-another',
        'value-misspelled', 'dots-inside', 'spaces-inside', 'extension-spelled-otherwise', 'copy-suffix', 'saved-elsewhere', 'pass-not-saved',
        'empty-file', 'cut-short', 'checksum-fails', 'black-frames', 'pictures-repeated', 'frozen-frames', 'hold-too-short', 'seam-shown-twice', 'leftovers',
        'pass-short', 'value-differs',
    ];

    public static function place(string $id): int
    {
        $at = array_search($id, self::CAUSES, true);

        return $at === false ? count(self::CAUSES) : $at;
    }
}
