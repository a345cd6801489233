<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Proofs;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** A count, a duration, held frames or an extent that the range contradicts. */
final readonly class LengthsAgree implements Proof
{
    public function read(Specification $specification, Part $part): iterable
    {
        $expected = PartLength::expected($part);
        $count = $part->find('time.count')?->ask;
        if ($expected !== null && $count !== null && ! $count->admitsNumber((string) count($expected))) {
            $handles = $part->handles() === [0, 0] ? [] : ['time.handles'];
            yield Quarrel::between(['time.count', 'time.range', ...$handles], $part->name, "{$part->single('time.range')}".($handles === [] ? '' : ' with its handles').' makes '.Text::count(count($expected), 'frame').", and {$count} are asked.",
                Offer::set('time.count', (string) count($expected), 'Ask for '.count($expected).' frames.'), Offer::drop('time.count', 'Leave the count to the range.'));
        }
        yield from $this->duration($specification, $part);
        $many = $expected === null ? null : count($expected);
        if ($many !== null && $many > 1 && $part->find('time.extent')?->ask->values === ['one']) {
            yield Quarrel::between(['time.extent', 'time.range'], $part->name, "The scene is to render one frame, and {$many} are asked.", Offer::set('time.extent', 'listed', 'Have it render its listed range.'));
        }
        $hold = array_sum(array_map(intval(...), explode('+', $part->single('content.hold') ?? '0')));
        if ($many !== null && $hold > $many) {
            yield Quarrel::between(['content.hold', 'time.range'], $part->name, "{$hold} frames are to stand still, and there are {$many}.", Offer::drop('content.hold', 'Ask for no held frames.'));
        }
    }

    /** @return iterable<Quarrel> */
    private function duration(Specification $specification, Part $part): iterable
    {
        $ask = $part->find('time.duration')?->ask;
        $rate = PartLength::rate($part);
        $expected = PartLength::expected($part);
        if ($ask === null || $rate === null || $expected === null) {
            return;
        }
        $lasts = BigRational::of(count($expected))->dividedBy($rate->value);
        $frame = BigRational::one()->dividedBy($rate->value);
        $seconds = static fn (?string $text): ?BigRational => $text === null ? null : Duration::parse($text)->seconds($rate);
        $low = $seconds($ask->single() ?? $ask->min);
        $high = $seconds($ask->single() ?? $ask->max);
        if (($low !== null && $lasts->isLessThan($low->minus($frame))) || ($high !== null && $lasts->isGreaterThan($high->plus($frame)))) {
            yield Quarrel::between(['time.duration', 'time.range', 'time.rate'], $part->name, count($expected)." frames at {$rate->spoken()} a second last {$rate->runningTime(count($expected))}, and {$ask} is asked.", Offer::drop('time.duration', 'Leave the duration to the range.'));
        }
    }
}
