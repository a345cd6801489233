<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Values\AnyFormat;
use PlainLedger\Core\Specification\Values\AspectFormat;
use PlainLedger\Core\Specification\Values\BitRateFormat;
use PlainLedger\Core\Specification\Values\BlackFormat;
use PlainLedger\Core\Specification\Values\ByteSizeFormat;
use PlainLedger\Core\Specification\Values\CadenceFormat;
use PlainLedger\Core\Specification\Values\CameraFormat;
use PlainLedger\Core\Specification\Values\ChannelsFormat;
use PlainLedger\Core\Specification\Values\CodecFormat;
use PlainLedger\Core\Specification\Values\DurationFormat;
use PlainLedger\Core\Specification\Values\EncodingFormat;
use PlainLedger\Core\Specification\Values\FractionFormat;
use PlainLedger\Core\Specification\Values\FrozenFormat;
use PlainLedger\Core\Specification\Values\HandlesFormat;
use PlainLedger\Core\Specification\Values\HoldFormat;
use PlainLedger\Core\Specification\Values\IntervalFormat;
use PlainLedger\Core\Specification\Values\KindFormat;
use PlainLedger\Core\Specification\Values\NoneOrCountFormat;
use PlainLedger\Core\Specification\Values\NumberFormat;
use PlainLedger\Core\Specification\Values\OnOffFormat;
use PlainLedger\Core\Specification\Values\PassesFormat;
use PlainLedger\Core\Specification\Values\PatternFormat;
use PlainLedger\Core\Specification\Values\PercentFormat;
use PlainLedger\Core\Specification\Values\RangeFormat;
use PlainLedger\Core\Specification\Values\RateFormat;
use PlainLedger\Core\Specification\Values\ReferenceFormat;
use PlainLedger\Core\Specification\Values\RegionFormat;
use PlainLedger\Core\Specification\Values\ResolutionFormat;
use PlainLedger\Core\Specification\Values\TextFormat;
use PlainLedger\Core\Specification\Values\TimecodeFormat;
use PlainLedger\Core\Specification\Values\ValueFormat;
use PlainLedger\Core\Specification\Values\WholeFormat;
use PlainLedger\Core\Specification\Values\WordFormat;
use PlainLedger\Core\Specification\Values\YesNoFormat;

/** How a value is written: each type has a format, which makes one canonical text of everything people type. */
enum ValueType: string
{
    case Resolution = 'resolution';
    case Percent = 'percent';
    case Fraction = 'fraction';
    case Aspect = 'aspect';
    case Rate = 'rate';
    case Range = 'range';
    case Handles = 'handles';
    case Whole = 'whole number';
    case Number = 'number';
    case ByteSize = 'size';
    case Kind = 'kind';
    case Channels = 'channels';
    case Word = 'word';
    case Text = 'text';
    case Pattern = 'pattern';
    case YesNo = 'yes or no';
    case OnOff = 'on or off';
    case Region = 'region';
    case Passes = 'passes';
    case Any = 'any';
    case Duration = 'duration';
    case Timecode = 'timecode';
    case Codec = 'codec';
    case NoneOrCount = 'none or a count';
    case Encoding = 'colour encoding';
    case Camera = 'camera';
    case BitRate = 'bit rate';
    case Black = 'none or frames';
    case Frozen = 'none, frames or a length';
    case Hold = 'frames at head and tail';
    case Cadence = 'cadence';
    case Reference = 'approved picture';
    case Interval = 'frames, seconds or a share of the rate';

    /** @var array<string, class-string<ValueFormat>> by the name of the case */
    private const FORMATS = [
        'Resolution' => ResolutionFormat::class,
        'Percent' => PercentFormat::class,
        'Fraction' => FractionFormat::class,
        'Aspect' => AspectFormat::class,
        'Rate' => RateFormat::class,
        'Range' => RangeFormat::class,
        'Handles' => HandlesFormat::class,
        'Whole' => WholeFormat::class,
        'Number' => NumberFormat::class,
        'ByteSize' => ByteSizeFormat::class,
        'Kind' => KindFormat::class,
        'Channels' => ChannelsFormat::class,
        'Word' => WordFormat::class,
        'Text' => TextFormat::class,
        'Pattern' => PatternFormat::class,
        'YesNo' => YesNoFormat::class,
        'OnOff' => OnOffFormat::class,
        'Region' => RegionFormat::class,
        'Passes' => PassesFormat::class,
        'Any' => AnyFormat::class,
        'Duration' => DurationFormat::class,
        'Timecode' => TimecodeFormat::class,
        'Codec' => CodecFormat::class,
        'NoneOrCount' => NoneOrCountFormat::class,
        'Encoding' => EncodingFormat::class,
        'Camera' => CameraFormat::class,
        'BitRate' => BitRateFormat::class,
        'Black' => BlackFormat::class,
        'Frozen' => FrozenFormat::class,
        'Hold' => HoldFormat::class,
        'Cadence' => CadenceFormat::class,
        'Reference' => ReferenceFormat::class,
        'Interval' => IntervalFormat::class,
    ];

    public function format(): ValueFormat
    {
        return new (self::FORMATS[$this->name]);
    }
}
