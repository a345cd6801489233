<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Text\Text;

/** One thing asked, resolved: its value, how much it weighs, why, and which layer set it. */
final readonly class Requirement
{
    public function __construct(
        public Descriptor $descriptor,
        public RequirementValue $value,
        public Level $level,
        public ?string $why,
        public SetBy $setBy,
    ) {}

    /**
     * @param  string  $where  for sentences: the file or field it stands in
     *
     * @throws SpecificationRefused
     */
    public static function read(Descriptor $descriptor, mixed $json, SetBy $setBy, string $where): self
    {
        $level = Level::Must;
        $why = null;
        if (is_array($json) && ! array_is_list($json)) {
            $told = $json['level'] ?? 'must';
            $level = is_string($told) ? Level::tryFrom(strtolower($told)) : null;
            if ($level === null) {
                throw SpecificationRefused::requirement($where, $descriptor->id, 'the level is “must” or “should”.');
            }
            $why = is_string($json['why'] ?? null) ? Text::shown($json['why']) : null;
        }
        try {
            return new self($descriptor, RequirementValue::read($descriptor, $json), $level, $why, $setBy);
        } catch (NotUnderstood|PatternRefused $refused) {
            throw SpecificationRefused::requirement($where, $descriptor->id, $refused->getMessage());
        }
    }

    /** What a requirement that is written as an object can have in it. */
    private const KEYS = ['value', 'level', 'why', 'min', 'max', 'head', 'tail', 'tolerance', 'threshold', 'dark_share', 'allowed', 'name', 'require', 'frame', 'picture'];

    /**
     * Keys of an object that say nothing here, so that nothing asked is passed over in silence.
     *
     * @return list<string>
     */
    public static function strangeKeys(Descriptor $descriptor, mixed $json): array
    {
        if (! is_array($json) || array_is_list($json) || $descriptor->type === ValueType::Any) {
            return [];
        }

        return array_values(array_diff(array_map(strval(...), array_keys($json)), self::KEYS));
    }

    public function id(): string
    {
        return $this->descriptor->id;
    }

    /** The value as one text for people and machines. */
    public function required(): string
    {
        return $this->descriptor->type === ValueType::Reference ? implode('; ', array_map(static fn (ApprovedPicture $a): string => $a->typed(), ApprovedPicture::listOf($this->value))) : (string) $this->value;
    }

    /** The value as it would be typed, with what is asked of single passes. */
    public function typed(): string
    {
        return $this->value->own === [] ? $this->required() : PassList::write($this->value);
    }

    /** The requirement as a plain sentence. */
    public function sentence(): string
    {
        $value = $this->required();
        $said = match ("{$this->id()}={$value}") {
            'picture.pixel_aspect=1/1' => 'Pixels are square.',
            'picture.scale=100' => 'The scene renders at its full size.',
            'naming.folder=.' => 'They lie at the root of the delivery.',
            'picture.region=on' => 'Only a region of the picture is rendered.',
            'picture.region=full' => 'The whole picture is rendered, without a region.',
            'time.range=timeline' => 'The frames are those of the animation’s own range.',
            'time.step=1' => 'Every frame is rendered, none skipped.',
            'time.extent=listed' => 'The scene is told to render its listed range.',
            'time.extent=whole' => 'The scene is told to render its whole timeline.',
            'time.extent=one' => 'The scene is told to render one frame.',
            'format.alpha=none' => 'There is no alpha.',
            'format.alpha=any' => 'There is alpha, of either kind.',
            'format.compression=lossless' => 'Compression loses nothing.',
            'delivery.extras=none' => 'Nothing is delivered that is not asked.',
            'camera.name=*' => 'It is seen through a camera of the scene, whichever.',
            'content.black=none' => 'No frame is black.',
            'content.cadence=every' => 'No picture stands for more than one frame.',
            'content.frozen=none' => 'No two frames in a row are the same picture.',
            'colour.view=none' => 'No view is applied.',
            'colour.look=none' => 'No look is applied.',
            'burn_in=none' => 'Nothing is burnt into the picture.',
            'audio.presence=none' => 'There is no sound.',
            'audio.presence=required' => 'There is sound.',
            'output.overwrites=no' => 'No earlier file is overwritten.',
            'format.b_frames=none' => 'There are no B-frames.',
            'delivery.checksums=present' => 'A checksum list lies beside the files and agrees with them.',
            default => null,
        };
        if ($said !== null) {
            return $said;
        }
        if ($this->descriptor->type === ValueType::YesNo && $value === 'yes') {
            return str_replace(': %s.', '.', $this->descriptor->sentence);
        }
        if ($this->descriptor->type === ValueType::Region) {
            return "Only the region {$value} is rendered: left, top, width and height.";
        }
        // a list of passes, and of what is burnt in, is all of them
        $all = $this->descriptor->type === ValueType::Passes || $this->id() === 'burn_in';
        $spoken = Text::series(array_map($this->spoken(...), $this->value->values), $all ? 'and' : 'or');
        if ($this->value->values === []) {
            [$min, $max] = [$this->value->min === null ? null : $this->spoken($this->value->min), $this->value->max === null ? null : $this->spoken($this->value->max)];
            $spoken = match (true) {
                $min !== null && $max !== null => "{$min} to {$max}",
                $min !== null => "at least {$min}",
                default => "at most {$max}",
            };
        } elseif ($this->value->share !== null) {
            $spoken = ($spoken === 'none' ? '' : "{$spoken}, and ")."at most {$this->value->share} % of a picture may be dark";
        } elseif ($this->value->threshold !== null) {
            $spoken .= ", where black is a mean of at most {$this->value->threshold} of white";
        }

        $sentence = $this->descriptor->type === ValueType::Passes && count($this->value->values) === 1 ? 'The pass is %s.' : $this->descriptor->sentence;

        $tolerance = $this->value->tolerance === null ? '' : " Pictures that differ by at most {$this->value->tolerance} of white are the same.";

        return str_replace('%s', $spoken, $sentence).$tolerance.PassList::sentences($this->value);
    }

    /** One value as it would be read out. */
    private function spoken(string $value): string
    {
        return match ($this->descriptor->type) {
            ValueType::Resolution => str_replace('x', ' × ', $value),
            ValueType::Handles, ValueType::Hold => str_replace('+', ' and ', $value),
            ValueType::Cadence => str_contains($value, '-') ? str_replace('-', ' and ', $value).' frames in turn' : "{$value} frames",
            ValueType::Interval => preg_match('~^\d+$~', $value) === 1 ? "{$value} frames" : str_replace([' s', '1 rate', ' rate'], [' s', 'one second', ' of the rate'], $value),
            ValueType::Reference => ApprovedPicture::listOf(new RequirementValue([$value], null, null))[0]->spokenOf(),
            ValueType::Range => (string) preg_replace('~^(-?\d+)-(-?\d+)$~', '$1 to $2', $value),
            ValueType::Kind => Kind::tryFrom($value)?->spoken() ?? $value,
            ValueType::Rate => FrameRate::parse($value)->spoken().(str_contains($value, '/') ? " ({$value})" : ''),
            ValueType::Size => (string) ByteSize::of((int) $value),
            ValueType::BitRate => (string) BitRate::parse($value),
            default => $value,
        };
    }
}
