<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/**
 * The causes there are. Their order is the one in which they are weighed for an entry: the first that holds explains
 * it.
 */
enum CauseId: string
{
    case NothingDelivered = 'nothing-delivered';
    case MovieInsteadOfFrames = 'movie-instead-of-frames';
    case FramesInsteadOfMovie = 'frames-instead-of-movie';
    case PassMissing = 'pass-missing';
    case StillArriving = 'still-arriving';
    case StartingSize = 'starting-size';
    case RangeNeverSet = 'range-never-set';
    case SingleFrameMode = 'single-frame-mode';
    case HandlesLeftOut = 'handles-left-out';
    case HandlesNotAsked = 'handles-not-asked';
    case StepLeftOn = 'step-left-on';
    case RangeShortOfTimeline = 'range-short-of-timeline';
    case ResavedLater = 'resaved-later';
    case SettingsChangedMidway = 'settings-changed-midway';
    case TwoTakesMixed = 'two-takes-mixed';
    case ScaleBelowFull = 'scale-below-full';
    case ScaleAboveFull = 'scale-above-full';
    case TurnedByMetadata = 'turned-by-metadata';
    case StretchedInAssembly = 'stretched-in-assembly';
    case SidesSwapped = 'sides-swapped';
    case SquarePixelSize = 'square-pixel-size';
    case SmallerPreset = 'smaller-preset';
    case NumberedFromElsewhere = 'numbered-from-elsewhere';
    case LastFrameLeftOut = 'last-frame-left-out';
    case StillsHeld = 'stills-held';
    case FramesInWrongOrder = 'frames-in-wrong-order';
    case MovieShort = 'movie-short';
    case MovieLong = 'movie-long';
    case RenderStopped = 'render-stopped';
    case ResumeLeavesGap = 'resume-leaves-gap';
    case RangeSetOtherwise = 'range-set-otherwise';
    case FramesDropped = 'frames-dropped';
    case OffByRounding = 'off-by-rounding';
    case RegionLeftOn = 'region-left-on';
    case PixelAspectDiffers = 'pixel-aspect-differs';
    case NotTwoToOne = 'not-two-to-one';
    case SphericalNotTagged = 'spherical-not-tagged';
    case WrongShape = 'wrong-shape';
    case VariableRate = 'variable-rate';
    case RateOfAnotherStandard = 'rate-of-another-standard';
    case SpeedChanged = 'speed-changed';
    case NoStartTimecode = 'no-start-timecode';
    case SceneNotSaved = 'scene-not-saved';
    case LinksMissing = 'links-missing';
    case DraftQuality = 'draft-quality';
    case NoCamera = 'no-camera';
    case SeveralCameras = 'several-cameras';
    case WorkingViewRendered = 'working-view-rendered';
    case AnotherCamera = 'another-camera';
    case ExtensionLies = 'extension-lies';
    case LossyInsteadOfLossless = 'lossy-instead-of-lossless';
    case AlphaCannotLiveHere = 'alpha-cannot-live-here';
    case AlphaNotSaved = 'alpha-not-saved';
    case AlphaAllOpaque = 'alpha-all-opaque';
    case AlphaNotAsked = 'alpha-not-asked';
    case DepthDropped = 'depth-dropped';
    case ViewAppliedTwice = 'view-applied-twice';
    case ViewMissing = 'view-missing';
    case EffectsAppliedTwice = 'effects-applied-twice';
    case CompressionDiffers = 'compression-differs';
    case CodecDiffers = 'codec-differs';
    case QualityTooLow = 'quality-too-low';
    case ChromaHalved = 'chroma-halved';
    case OverSizeCap = 'over-size-cap';
    case BitRateDiffers = 'bit-rate-differs';
    case KeyframesTooFarApart = 'keyframes-too-far-apart';
    case BFramesLeftOn = 'b-frames-left-on';
    case IndexLast = 'index-last';
    case AudioMissing = 'audio-missing';
    case AudioNotAsked = 'audio-not-asked';
    case AudioFormatDiffers = 'audio-format-differs';
    case FixedNameOverwrites = 'fixed-name-overwrites';
    case TooFewDigits = 'too-few-digits';
    case TooManyDigits = 'too-many-digits';
    case SeparatorDiffers = 'separator-differs';
    case NumberInWrongPlace = 'number-in-wrong-place';
    case CaseDiffers = 'case-differs';
    case WrongVersion = 'wrong-version';
    case ValueOfAnother = 'value-of-another';
    case ValueMisspelled = 'value-misspelled';
    case DotsInside = 'dots-inside';
    case SpacesInside = 'spaces-inside';
    case ExtensionSpelledOtherwise = 'extension-spelled-otherwise';
    case CopySuffix = 'copy-suffix';
    case SavedElsewhere = 'saved-elsewhere';
    case PassNotSaved = 'pass-not-saved';
    case EmptyFile = 'empty-file';
    case CutShort = 'cut-short';
    case ChecksumFails = 'checksum-fails';
    case BlackFrames = 'black-frames';
    case PicturesRepeated = 'pictures-repeated';
    case FrozenFrames = 'frozen-frames';
    case HoldTooShort = 'hold-too-short';
    case SeamShownTwice = 'seam-shown-twice';
    case Leftovers = 'leftovers';
    case PassShort = 'pass-short';
    case ValueDiffers = 'value-differs';

    /** Where it stands in the order. */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
