<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

/** The calculations there are. */
final readonly class Calculator
{
    /** @param  list<Calculation>  $calculations */
    private function __construct(public array $calculations) {}

    public static function standard(): self
    {
        return new self(
            [
                new Lengths, new PictureData, new FromSample, new RateAndSize, new Keyframes, new Shapes, new Scales,
                new RenderTimes,
            ],
        );
    }

    public function find(string $word): ?Calculation
    {
        foreach ($this->calculations as $calculation) {
            if ($calculation->word() === $word) {
                return $calculation;
            }
        }

        return null;
    }
}
