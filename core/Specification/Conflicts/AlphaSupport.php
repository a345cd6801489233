<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** Alpha that is asked of a format or codec that cannot carry it, or asked and refused in one breath. */
final readonly class AlphaSupport implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $asking = $this->asking($part);
        if ($asking !== []) {
            $kinds = $part->kinds();
            if ($kinds !== [] && array_filter($kinds, static fn (Kind $k): bool => $k->canHoldAlpha()) === []) {
                $other = $part->delivers->isMovie() ? 'mov' : 'png';
                yield Conflict::between(
                    [...$asking, RequirementId::FORMAT_KIND],
                    $part->name,
                    'Alpha is asked, and '
                        .Text::series(array_map(static fn (Kind $k): string => $k->spoken(), $kinds), 'or')
                        .' cannot carry it.',
                    ConflictResolution::set(
                        RequirementId::FORMAT_KIND,
                        $other,
                        'Ask for '.strtoupper($other).', which can carry it.',
                    ),
                    $this->without($part),
                );
            }
            $codecs = $part->values(RequirementId::FORMAT_CODEC);
            if ($codecs !== [] && array_filter($codecs, CodecCapabilities::canHoldAlpha(...)) === []) {
                yield Conflict::between(
                    [...$asking, RequirementId::FORMAT_CODEC],
                    $part->name,
                    'Alpha is asked, and the codec '.Text::series($codecs, 'or').' cannot carry it.',
                    ConflictResolution::set(
                        RequirementId::FORMAT_CODEC,
                        'prores 4444',
                        'Ask for ProRes 4444, which can carry it.',
                    ),
                    $this->without($part),
                );
            }
        }
        yield from $this->amongThemselves($part);
    }

    /** @return list<string> ids that ask for alpha */
    private function asking(Part $part): array
    {
        $alpha = $part->values(RequirementId::FORMAT_ALPHA);
        $channels = $part->single(RequirementId::FORMAT_CHANNELS);

        return array_keys(array_filter([
            RequirementId::FORMAT_ALPHA => $alpha !== [] && ! in_array('none', $alpha, true),
            RequirementId::FORMAT_CHANNELS => $channels !== null && in_array('A', Channels::parse($channels), true),
            RequirementId::CONTENT_ALPHA_USED => $part->single(RequirementId::CONTENT_ALPHA_USED) === 'yes',
        ]));
    }

    private function without(Part $part): ConflictResolution
    {
        $channels = $part->single(RequirementId::FORMAT_CHANNELS);
        if ($channels !== null && in_array('A', Channels::parse($channels), true)) {
            return ConflictResolution::set(
                RequirementId::FORMAT_CHANNELS,
                Channels::write(array_values(array_diff(Channels::parse($channels), ['A']))),
                'Ask for the picture without alpha.',
            );
        }

        return $part->find(RequirementId::FORMAT_ALPHA) === null
            ? ConflictResolution::drop(RequirementId::CONTENT_ALPHA_USED, 'Remove “alpha is in use”.')
            : ConflictResolution::set(RequirementId::FORMAT_ALPHA, 'none', 'Ask for no alpha.');
    }

    /** @return iterable<Conflict> */
    private function amongThemselves(Part $part): iterable
    {
        $alpha = $part->values(RequirementId::FORMAT_ALPHA);
        $channels = Channels::parse($part->single(RequirementId::FORMAT_CHANNELS) ?? '');
        $others = array_values(array_filter($channels, static fn (string $c): bool => Channels::split($c)[1] !== 'A'));
        $has = $channels === [] ? null : count($others) < count($channels);
        if ($alpha === ['none'] && $has === true) {
            yield $this->withoutAlpha($part, $others);
        } elseif ($alpha !== [] && ! in_array('none', $alpha, true) && $has === false) {
            yield $this->withAlpha($part, $channels);
        }
        $none = $alpha === ['none'] || ($has === false && $alpha === []);
        if ($none && $part->single(RequirementId::CONTENT_ALPHA_USED) === 'yes') {
            $other = $alpha === ['none'] ? RequirementId::FORMAT_ALPHA : RequirementId::FORMAT_CHANNELS;
            yield Conflict::between(
                [RequirementId::CONTENT_ALPHA_USED, $other],
                $part->name,
                'Alpha must be in use, and there is none to be used.',
                ConflictResolution::drop(RequirementId::CONTENT_ALPHA_USED, 'Remove “alpha is in use”.'),
            );
        }
    }

    /** @param  list<string>  $others  the channels but for alpha */
    private function withoutAlpha(Part $part, array $others): Conflict
    {
        $id = RequirementId::FORMAT_CHANNELS;

        return Conflict::between(
            [RequirementId::FORMAT_ALPHA, $id],
            $part->name,
            "The channels {$part->single($id)} hold alpha, and no alpha is asked.",
            ConflictResolution::set($id, Channels::write($others), 'Ask for the channels without alpha.'),
            ConflictResolution::set(RequirementId::FORMAT_ALPHA, 'any', 'Ask for alpha.'),
        );
    }

    /** @param  list<string>  $channels */
    private function withAlpha(Part $part, array $channels): Conflict
    {
        $id = RequirementId::FORMAT_CHANNELS;

        return Conflict::between(
            [RequirementId::FORMAT_ALPHA, $id],
            $part->name,
            "Alpha is asked, and the channels {$part->single($id)} hold none.",
            ConflictResolution::set($id, Channels::write([...$channels, 'A']), 'Ask for the alpha channel too.'),
            ConflictResolution::set(RequirementId::FORMAT_ALPHA, 'none', 'Ask for no alpha.'),
        );
    }
}
