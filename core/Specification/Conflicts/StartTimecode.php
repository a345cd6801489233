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
        $why = '';
        foreach ($rates as $rate) {
            try {
                Timecode::parse($start, $rate);

                return;
            } catch (NotUnderstood $refused) {
                $why = $refused->getMessage();
            }
        }
        $offers = [];
        if (str_contains($start, ';') && ! $rates[0]->hasDropFrame()) {
            $plain = str_replace(';', ':', $start);
            $offers = [
                ConflictResolution::set(
                    RequirementId::TIME_START_TIMECODE,
                    $plain,
                    "Start at {$plain}, which drops nothing.",
                ),
            ];
            if ($rates[0]->nominalWhole() === 30 || $rates[0]->nominalWhole() === 60) {
                $dropping = $rates[0]->nominalWhole() === 30 ? '29.97' : '59.94';
                $offers[] = ConflictResolution::set(
                    RequirementId::TIME_RATE,
                    $dropping,
                    "Ask for {$dropping} frames a second.",
                );
            }
        } else {
            $offers = [
                ConflictResolution::set(
                    RequirementId::TIME_START_TIMECODE,
                    substr($start, 0, 9).'00',
                    'Start on the whole second.',
                ),
            ];
            if (str_contains($start, ';') && preg_match('~:[0-9][1-9]:00;~', $start) === 1) {
                $offers = [
                    ConflictResolution::set(
                        RequirementId::TIME_START_TIMECODE,
                        substr($start, 0, 9).($rates[0]->nominalWhole() === 60 ? '04' : '02'),
                        'Start at the first number there is.',
                    ),
                ];
            }
        }
        yield Conflict::between(
            [RequirementId::TIME_START_TIMECODE, RequirementId::TIME_RATE],
            $part->name,
            $why,
            ...$offers,
        );
    }
}
