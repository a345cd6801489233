<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** A start timecode that the rate does not have: drop-frame at 24, frame 24 of a second that has 24. */
final readonly class StartTimecode implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $start = $part->single(RequirementId::TIME_START_TIMECODE);
        $rates = array_map(FrameRate::parse(...), $part->values(RequirementId::TIME_RATE));
        if ($start === null || $rates === []) {
            return;
        }
        $faults = array_map(static fn (FrameRate $rate): ?string => self::fault($start, $rate), $rates);
        $why = end($faults);
        if ($why === null || in_array(null, $faults, true)) {
            return;
        }
        $ids = [RequirementId::TIME_START_TIMECODE, RequirementId::TIME_RATE];
        yield Conflict::between($ids, $part->name, $why, ...self::resolutions($start, $rates[0]));
    }

    private static function fault(string $start, FrameRate $rate): ?string
    {
        try {
            Timecode::parse($start, $rate);

            return null;
        } catch (NotUnderstood $refused) {
            return $refused->getMessage();
        }
    }

    /** @return list<ConflictResolution> */
    private static function resolutions(string $start, FrameRate $rate): array
    {
        $id = RequirementId::TIME_START_TIMECODE;
        $dropping = str_contains($start, ';');
        if ($dropping && ! $rate->hasDropFrame()) {
            $plain = str_replace(';', ':', $start);
            $pulled = [30 => '29.97', 60 => '59.94'][$rate->nominalWhole()] ?? null;

            return [
                ConflictResolution::set($id, $plain, "Start at {$plain}, which drops nothing."),
                ...($pulled === null ? [] : [
                    ConflictResolution::set(RequirementId::TIME_RATE, $pulled, "Ask for {$pulled} frames a second."),
                ]),
            ];
        }
        if ($dropping && preg_match('~:[0-9][1-9]:00;~', $start) === 1) {
            $first = substr($start, 0, 9).($rate->nominalWhole() === 60 ? '04' : '02');

            return [ConflictResolution::set($id, $first, 'Start at the first number there is.')];
        }

        return [ConflictResolution::set($id, substr($start, 0, 9).'00', 'Start on the whole second.')];
    }
}
