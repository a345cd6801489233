<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

/** One of the exercises that ship: a title, and what goes wrong in it. */
final readonly class Exercise
{
    /** @param  list<Blunder>  $blunders  none: it balances */
    public function __construct(public int $number, public string $title, public array $blunders) {}

    /** From one mistake to four at once, and some without any. */
    public function difficulty(): int
    {
        return max(1, count($this->blunders));
    }

    /** @return list<self> */
    public static function all(): array
    {
        $of = static fn (int $number, string $title, Blunder ...$blunders): self => new self(
            $number,
            $title,
            array_values($blunders),
        );

        return [
            $of(1, 'The harbour wakes', Blunder::ScaleBelowFull),
            $of(2, 'A lamp goes out', Blunder::RenderStopped),
            $of(3, 'Fog over the slip', Blunder::FramesDropped),
            $of(4, 'Every other wave', Blunder::StepLeftOn),
            $of(5, 'The wrong pier', Blunder::AnotherCamera),
            $of(6, 'Six digits', Blunder::TooManyDigits),
            $of(7, 'All is well'),
            $of(8, 'On its side', Blunder::SidesSwapped),
            $of(9, 'Glass without its back', Blunder::AlphaNotSaved),
            $of(10, 'Half as deep', Blunder::DepthDropped),
            $of(11, 'Night for three frames', Blunder::BlackFrames),
            $of(12, 'The clock stands still', Blunder::FrozenFrames),
            $of(13, 'Cut off', Blunder::CutShort),
            $of(14, 'Counted from nothing', Blunder::NumberedFromElsewhere),
            $of(15, 'Never set', Blunder::RangeNeverSet),
            $of(16, 'One short', Blunder::LastFrameLeftOut),
            $of(17, 'Yesterday’s number', Blunder::WrongVersion),
            $of(18, 'The mist stayed at home', Blunder::PassMissing),
            $of(19, 'The end is missing', Blunder::MovieShort),
            $of(20, 'Lying down', Blunder::TurnedByMetadata),
            $of(21, 'Small and broken off', Blunder::ScaleBelowFull, Blunder::RenderStopped),
            $of(22, 'A dash and a hole', Blunder::SeparatorDiffers, Blunder::FramesDropped),
            $of(23, 'A slip and a thin shadow', Blunder::ValueMisspelled, Blunder::PassShort),
            $of(24, 'The clock begins at nought', Blunder::NoStartTimecode, Blunder::SceneNotSaved),
            $of(25, 'Thin and few', Blunder::DraftQuality, Blunder::LastFrameLeftOut),
            $of(26, 'Three on one night', Blunder::WrongShape, Blunder::WrongVersion, Blunder::CutShort),
            $of(27, 'In a hurry', Blunder::ScaleBelowFull, Blunder::SceneNotSaved, Blunder::IndexLast),
            $of(28, 'Somebody else’s settings', Blunder::StartingSize, Blunder::AnotherCamera, Blunder::DepthDropped),
            $of(29, 'Nothing went right', Blunder::SidesSwapped, Blunder::RenderStopped, Blunder::TooManyDigits,
                Blunder::AlphaNotSaved),
            $of(30, 'The last evening', Blunder::DepthDropped, Blunder::FramesDropped, Blunder::SeparatorDiffers,
                Blunder::Leftovers),
        ];
    }

    public static function find(int $number): ?self
    {
        return self::all()[$number - 1] ?? null;
    }
}
