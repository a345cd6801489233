<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Measure\FrameRange;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Something that goes wrong in an exercise; each is called as the cause that a check finds it by. */
enum Blunder: string
{
    case ScaleBelowFull = 'scale-below-full';
    case SidesSwapped = 'sides-swapped';
    case WrongShape = 'wrong-shape';
    case StartingSize = 'starting-size';
    case RenderStopped = 'render-stopped';
    case FramesDropped = 'frames-dropped';
    case LastFrameLeftOut = 'last-frame-left-out';
    case StepLeftOn = 'step-left-on';
    case NumberedFromElsewhere = 'numbered-from-elsewhere';
    case SingleFrameMode = 'single-frame-mode';
    case RangeNeverSet = 'range-never-set';
    case AnotherCamera = 'another-camera';
    case SceneNotSaved = 'scene-not-saved';
    case RateOfAnotherStandard = 'rate-of-another-standard';
    case DraftQuality = 'draft-quality';
    case DepthDropped = 'depth-dropped';
    case AlphaNotSaved = 'alpha-not-saved';
    case TooManyDigits = 'too-many-digits';
    case SeparatorDiffers = 'separator-differs';
    case WrongVersion = 'wrong-version';
    case CaseDiffers = 'case-differs';
    case ValueMisspelled = 'value-misspelled';
    case BlackFrames = 'black-frames';
    case FrozenFrames = 'frozen-frames';
    case CutShort = 'cut-short';
    case Leftovers = 'leftovers';
    case PassMissing = 'pass-missing';
    case PassShort = 'pass-short';
    case MovieShort = 'movie-short';
    case IndexLast = 'index-last';
    case NoStartTimecode = 'no-start-timecode';
    case VariableRate = 'variable-rate';
    case TurnedByMetadata = 'turned-by-metadata';

    /** Two of one kind would hide each other, or make a third. */
    public function kind(): string
    {
        return match ($this) {
            self::ScaleBelowFull, self::SidesSwapped, self::WrongShape, self::StartingSize => 'picture',
            self::RenderStopped, self::FramesDropped, self::LastFrameLeftOut, self::StepLeftOn,
            self::NumberedFromElsewhere, self::SingleFrameMode, self::RangeNeverSet => 'time',
            self::AnotherCamera, self::SceneNotSaved, self::RateOfAnotherStandard, self::DraftQuality => 'scene',
            self::DepthDropped, self::AlphaNotSaved => 'format',
            self::TooManyDigits, self::SeparatorDiffers, self::WrongVersion, self::CaseDiffers,
            self::ValueMisspelled => 'naming',
            self::BlackFrames, self::FrozenFrames, self::CutShort, self::Leftovers => 'content',
            self::PassMissing, self::PassShort => 'passes',
            self::MovieShort, self::IndexLast, self::NoStartTimecode, self::VariableRate,
            self::TurnedByMetadata => 'movie',
        };
    }

    /** Whether it takes a shot that owes passes, or a movie. */
    public function owesMore(): bool
    {
        return in_array($this->kind(), ['passes', 'movie'], true);
    }

    /**
     * So many, whichever, that do not hide each other.
     *
     * @param  string  $number  from 1 to 4
     * @param  string  $word  the same word chooses the same
     * @return list<self>
     *
     * @throws PracticeRefused
     */
    public static function some(string $number, string $word): array
    {
        if (preg_match('~^[1-4]$~', $number) !== 1) {
            throw PracticeRefused::because($number, 'is no difficulty: there are 1, 2, 3 and 4');
        }
        $chance = new Randomizer(new Mt19937(crc32("some/{$number}/{$word}")));
        $chosen = [];
        foreach ($chance->shuffleArray(self::cases()) as $one) {
            // of two that concern frames one may be about frames that the other leaves out
            $kind = in_array($one->kind(), ['content', 'passes', 'movie'], true) ? 'time' : $one->kind();
            // a movie on its side may show frames that lie on theirs upright
            if (count($chosen) < (int) $number && $one !== self::TurnedByMetadata) {
                $chosen[$kind] ??= $one;
            }
        }

        return array_values($chosen);
    }

    /** What becomes of a scene, and of the files that are rendered of it. */
    public function befall(PracticeShot $shot, Randomizer $chance): PracticeShot
    {
        return match ($this->kind()) {
            'picture' => $this->picture($shot),
            'time' => $this->time($shot, $chance),
            'scene' => $this->scene($shot),
            'format' => $shot->with($this === self::DepthDropped
                ? ['format.bit_depth' => 8]
                : ['format.channels' => 'RGB']),
            'naming' => $shot->named($this->name($shot)),
            'passes' => $this->passes($shot, $chance),
            'movie' => $shot->withMovie($this->movie($chance)),
            default => $this->content($shot, $chance),
        };
    }

    private function picture(PracticeShot $shot): PracticeShot
    {
        [$width, $height] = [$shot->asked->size->width, $shot->asked->size->height];

        return match ($this) {
            self::ScaleBelowFull => $shot->with(['picture.scale' => 50]),
            self::SidesSwapped => $shot->with(['picture.resolution' => "{$height}x{$width}"]),
            self::WrongShape => $shot->with(['picture.resolution' => $width.'x'.($height + 12)]),
            default => $shot->with(['picture.resolution' => AskedShot::STARTING_SIZE]),
        };
    }

    private function time(PracticeShot $shot, Randomizer $chance): PracticeShot
    {
        $all = FrameRange::of($shot->asked->first, $shot->asked->last);
        $some = $chance->getInt($shot->asked->first + 6, $shot->asked->last - 6);

        return match ($this) {
            self::RenderStopped => $shot->rendering(FrameRange::of($shot->asked->first, $some)),
            self::FramesDropped => $shot->rendering(
                $all->minus(FrameRange::fromNumbers([$some - 4, $some, $some + 1])),
            ),
            self::LastFrameLeftOut => $shot->rendering(FrameRange::of($shot->asked->first, $shot->asked->last - 1)),
            self::StepLeftOn => $shot->with(['time.step' => 2]),
            self::NumberedFromElsewhere => $shot->rendering($all->shifted(-$shot->asked->first)),
            self::SingleFrameMode => $shot->with(['time.extent' => 'one'])->rendering(
                FrameRange::of($some, $some),
            ),
            default => $shot->with(['time.range' => AskedShot::STARTING_RANGE])->rendering(
                FrameRange::parse(AskedShot::STARTING_RANGE),
            ),
        };
    }

    private function scene(PracticeShot $shot): PracticeShot
    {
        return match ($this) {
            self::AnotherCamera => $shot->with(['camera.name' => AskedShot::OTHER_CAMERA]),
            self::SceneNotSaved => $shot->unsaved(),
            self::RateOfAnotherStandard => $shot->with(['time.rate' => '25']),
            default => $shot->with(['render.samples' => 16]),
        };
    }

    private function name(PracticeShot $shot): string
    {
        $right = $shot->asked->sceneName();
        $task = $shot->asked->task;

        return match ($this) {
            self::TooManyDigits => str_replace('{frame:4}', '{frame:6}', $right),
            self::SeparatorDiffers => str_replace("{$shot->asked->code}_", "{$shot->asked->code}-", $right),
            self::WrongVersion => str_replace('_v003', '_v002', $right),
            self::CaseDiffers => str_replace($task, ucfirst($task), $right),
            default => str_replace($task, substr($task, 0, -2).strrev(substr($task, -2)), $right),
        };
    }

    private function passes(PracticeShot $shot, Randomizer $chance): PracticeShot
    {
        $some = $chance->getInt($shot->asked->first + 6, $shot->asked->last - 6);

        return $shot->inPasses($this === self::PassMissing
            ? ['mist' => FrameRange::none()]
            : ['shadow' => FrameRange::of($shot->asked->first + 2, $some)]);
    }

    private function movie(Randomizer $chance): MadeMovie
    {
        return match ($this) {
            self::MovieShort => new MadeMovie(leftOut: $chance->getInt(3, 6)),
            self::IndexLast => new MadeMovie(indexFirst: false),
            self::NoStartTimecode => new MadeMovie(hasTimecode: false),
            self::VariableRate => new MadeMovie(
                held: [$chance->getInt(3, 8) => 1, $chance->getInt(10, 15) => 2],
            ),
            default => new MadeMovie(rotation: 90),
        };
    }

    private function content(PracticeShot $shot, Randomizer $chance): PracticeShot
    {
        $at = $chance->getInt($shot->asked->first + 3, $shot->asked->last - 5);

        return match ($this) {
            self::BlackFrames => $shot->spoilt(black: [$at, $at + 1, $at + 2]),
            self::FrozenFrames => $shot->spoilt(frozen: [$at + 1, $at + 2]),
            self::CutShort => $shot->spoilt(cutShort: [$at]),
            default => $shot->littered([
                'preview.txt' => 'looked at on Monday', "{$shot->asked->code}_old.log" => 'done',
            ]),
        };
    }
}
