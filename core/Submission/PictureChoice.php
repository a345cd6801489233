<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Matching\PartMatch;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Specification\Delivers;

/** One picture of what is signed, that goes into its record. */
final readonly class PictureChoice
{
    /** Pictures in all; of more parts the first ones are shown. */
    private const MOST = 9;

    /**
     * @param  int|null  $frame  its number; null where it is the only one
     * @param  int|null  $picture  of a movie, counted from 0
     */
    private function __construct(
        public string $part,
        public ?string $pass,
        public ?int $frame,
        public ?int $picture,
        public ListedFile $file,
    ) {}

    /**
     * First, middle and last of each part; of several passes those of the first, which has the colour.
     *
     * @param  iterable<PartMatch>  $parts
     * @return list<self>
     */
    public static function of(iterable $parts): array
    {
        $choices = [];
        foreach ($parts as $part) {
            $pass = self::firstPass($part);
            if ($pass !== null && $part->part->delivers !== Delivers::File) {
                array_push($choices, ...self::ofPass($part, $pass));
            }
        }

        return array_slice($choices, 0, self::MOST);
    }

    private static function firstPass(PartMatch $part): ?PassMatch
    {
        foreach ($part->passes as $pass) {
            if (! $pass->isEmpty()) {
                return $pass;
            }
        }

        return null;
    }

    /** @return list<self> */
    private static function ofPass(PartMatch $match, PassMatch $pass): array
    {
        $name = $match->part->name;
        if ($match->part->delivers->isMovie()) {
            $file = $pass->frames->listedAt(0);
            $count = $pass->frames->factsAt(0)->timing->frameCount ?? 1;

            return array_map(
                static fn (int $picture): self => new self($name, $pass->pass, null, $picture, $file),
                self::three($count),
            );
        }
        $numbers = [...$pass->relevant()->minus($pass->damaged)->numbers()];
        $choices = [];
        foreach (self::three(count($numbers)) as $at) {
            $place = $pass->frames->place($numbers[$at]);
            if ($place !== null) {
                $isOne = $pass->lone || $match->part->delivers === Delivers::Still;
                $frame = $isOne ? null : $numbers[$at];
                $choices[] = new self($name, $pass->pass, $frame, null, $pass->frames->listedAt($place));
            }
        }

        return $choices;
    }

    /** @return list<int> places of the first, the middle and the last of so many */
    private static function three(int $count): array
    {
        return $count < 1 ? [] : array_values(array_unique([0, intdiv($count - 1, 2), $count - 1]));
    }
}
