<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\CompressionName;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `format.bit_depth`, `format.sample`, `format.channels`, `format.alpha`, `format.compression`, `format.chroma`. */
final readonly class FormatRules implements Rule
{
    private const IDS = [
        RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE, RequirementId::FORMAT_CHANNELS,
        RequirementId::FORMAT_ALPHA, RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_CHROMA,
    ];

    public function answers(string $id): bool
    {
        return in_array($id, self::IDS, true);
    }

    /** pxr24 rounds 32-bit floats and keeps the rest. */
    public static function isLossless(?string $compression, ?MediaFacts $facts = null): bool
    {
        if ($facts?->movie !== null) {
            return CodecCapabilities::isLossless($compression ?? '', $facts->movie->picture->isLossless);
        }

        return CompressionName::isLossless($compression ?? '')
            || (
                $compression === 'pxr24'
                && $facts !== null
                && ! ($facts->encoding->bitDepth === 32 && $facts->encoding->sample === 'float')
            );
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $found = $subject->scene?->get($requirement->id());
        if ($found === null) {
            return Cell::unknown();
        }

        $held = $this->asHeld($requirement->id(), $found, $subject);

        $kind = Kind::tryFrom($subject->scene->get(RequirementId::FORMAT_KIND) ?? '');

        return Cell::ofWord($requirement, $this->same($requirement, $held, null, $kind), $held);
    }

    /** Alpha that codec or format cannot hold will not be in the files, whatever is switched on. */
    private function asHeld(string $id, string $found, Subject $subject): string
    {
        $codec = $subject->scene?->get(RequirementId::FORMAT_CODEC);
        $kind = Kind::tryFrom($subject->scene?->get(RequirementId::FORMAT_KIND) ?? '');
        // a codec, or a format, that is not the one asked is told on its own line
        $codecCounts = $codec !== null && self::isAsAsked($subject, RequirementId::FORMAT_CODEC, $codec);
        $kindCounts = $kind !== null && self::isAsAsked($subject, RequirementId::FORMAT_KIND, $kind->value);
        $holds = (! $codecCounts || CodecCapabilities::canHoldAlpha($codec))
            && (! $kindCounts || $kind->canHoldAlpha());

        return match (true) {
            $holds => $found,
            $id === RequirementId::FORMAT_ALPHA => 'none',
            $id === RequirementId::FORMAT_CHANNELS => Channels::write(
                array_values(array_diff(Channels::parse($found), ['A'])),
            ),
            default => $found,
        };
    }

    private static function isAsAsked(Subject $subject, string $id, string $found): bool
    {
        $asked = $subject->part->find($id)?->value->values;

        return $asked === null || in_array($found, $asked, true);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $passes = $subject->part->passes();
        $id = $requirement->id();

        return FactSurvey::cell($subject, function (MediaFacts $facts) use ($id, $requirement, $passes): ?array {
            $found = self::found($id, $facts, $passes);
            // a picture that does not tell its chroma has none to tell
            if ($found === null && $id === RequirementId::FORMAT_CHROMA && $facts->kind?->isMovie() !== true) {
                return null;
            }

            return [$found, $found !== null && $this->same($requirement, $found, $facts, $facts->kind)];
        });
    }

    /** @param  list<string>  $passes */
    private static function found(string $id, MediaFacts $facts, array $passes): ?string
    {
        return match ($id) {
            RequirementId::FORMAT_BIT_DEPTH => $facts->encoding->bitDepth === null
                ? null
                : (string) $facts->encoding->bitDepth,
            RequirementId::FORMAT_SAMPLE => $facts->encoding->sample,
            RequirementId::FORMAT_CHANNELS => self::channelsOf($facts, $passes),
            RequirementId::FORMAT_ALPHA => self::alphaOf($facts),
            RequirementId::FORMAT_CHROMA => $facts->encoding->chroma,
            // what packs the pictures of a movie is its codec
            default => $facts->movie === null ? $facts->encoding->compression : $facts->encoding->codec,
        };
    }

    private static function alphaOf(MediaFacts $facts): ?string
    {
        return match ($facts->encoding->hasAlpha()) {
            null => null,
            true => $facts->labels->alphaKind ?? 'alpha',
            false => 'none',
        };
    }

    /** @param  list<string>  $passes */
    private static function channelsOf(MediaFacts $facts, array $passes): ?string
    {
        return $facts->encoding->channels === null
            ? null
            : Channels::write(self::ownChannels($facts->encoding->channels, $passes));
    }

    /**
     * Channels of layers that are asked as passes are the passes' matter.
     *
     * @param  list<string>  $channels
     * @param  list<string>  $passes
     * @return list<string>
     */
    private static function ownChannels(array $channels, array $passes): array
    {
        $own = array_values(array_filter($channels, static function (string $channel) use ($passes): bool {
            $layer = strtolower(Channels::split($channel)[0]);

            return $layer === '' || ! in_array($layer, array_map(strtolower(...), $passes), true);
        }));

        return $own === [] ? $channels : $own;
    }

    private function same(Requirement $requirement, string $found, ?MediaFacts $facts, ?Kind $kind): bool
    {
        $asked = $requirement->value->values;

        return match ($requirement->id()) {
            RequirementId::FORMAT_BIT_DEPTH => $requirement->value->admitsNumber($found),
            RequirementId::FORMAT_ALPHA => self::sameAlpha($found, $asked),
            RequirementId::FORMAT_CHANNELS => self::lower($found) === self::lower($asked[0] ?? ''),
            RequirementId::FORMAT_COMPRESSION => self::samePacking($found, $asked, $kind)
                || (in_array('lossless', $asked, true) && self::isLossless($found, $facts)),
            default => in_array($found, $asked, true),
        };
    }

    /** @param  list<string>  $asked */
    private static function samePacking(string $found, array $asked, ?Kind $kind): bool
    {
        foreach ($asked as $word) {
            if (CompressionName::isSame($found, $word, $kind)) {
                return true;
            }
        }

        return false;
    }

    /**
     * A file that has alpha and does not say of which kind is equal to any but none.
     *
     * @param  list<string>  $asked
     */
    private static function sameAlpha(string $found, array $asked): bool
    {
        return in_array($found, $asked, true)
            || ($found !== 'none' && in_array('any', $asked, true))
            || (in_array($found, ['alpha', 'any'], true) && $asked !== ['none']);
    }

    /** @return list<string> */
    private static function lower(string $channels): array
    {
        return array_map(strtolower(...), Channels::parse($channels));
    }
}
