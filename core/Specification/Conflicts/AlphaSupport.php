<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
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
                yield Conflict::between([...$asking, 'format.kind'], $part->name, 'Alpha is asked, and '.Text::series(array_map(static fn (Kind $k): string => $k->spoken(), $kinds), 'or').' cannot carry it.',
                    ConflictResolution::set('format.kind', $other, 'Ask for '.strtoupper($other).', which can carry it.'), $this->without($part));
            }
            $codecs = $part->values('format.codec');
            if ($codecs !== [] && array_filter($codecs, CodecCapabilities::canHoldAlpha(...)) === []) {
                yield Conflict::between([...$asking, 'format.codec'], $part->name, 'Alpha is asked, and the codec '.Text::series($codecs, 'or').' cannot carry it.',
                    ConflictResolution::set('format.codec', 'prores 4444', 'Ask for ProRes 4444, which can carry it.'), $this->without($part));
            }
        }
        yield from $this->amongThemselves($part);
    }

    /** @return list<string> ids that ask for alpha */
    private function asking(Part $part): array
    {
        $alpha = $part->values('format.alpha');
        $channels = $part->single('format.channels');

        return array_keys(array_filter([
            'format.alpha' => $alpha !== [] && ! in_array('none', $alpha, true),
            'format.channels' => $channels !== null && in_array('A', Channels::parse($channels), true),
            'content.alpha_used' => $part->single('content.alpha_used') === 'yes',
        ]));
    }

    private function without(Part $part): ConflictResolution
    {
        $channels = $part->single('format.channels');
        if ($channels !== null && in_array('A', Channels::parse($channels), true)) {
            return ConflictResolution::set('format.channels', Channels::write(array_values(array_diff(Channels::parse($channels), ['A']))), 'Ask for the picture without alpha.');
        }

        return $part->find('format.alpha') === null ? ConflictResolution::drop('content.alpha_used', 'Ask no more that alpha is in use.') : ConflictResolution::set('format.alpha', 'none', 'Ask for no alpha.');
    }

    /** @return iterable<Conflict> */
    private function amongThemselves(Part $part): iterable
    {
        $alpha = $part->values('format.alpha');
        $channels = $part->single('format.channels');
        $has = $channels === null ? null : array_filter(Channels::parse($channels), static fn (string $c): bool => Channels::split($c)[1] === 'A') !== [];
        if ($alpha === ['none'] && $has === true) {
            yield Conflict::between(['format.alpha', 'format.channels'], $part->name, "The channels {$channels} hold alpha, and no alpha is asked.",
                ConflictResolution::set('format.channels', Channels::write(array_values(array_filter(Channels::parse((string) $channels), static fn (string $c): bool => Channels::split($c)[1] !== 'A'))), 'Ask for the channels without alpha.'), ConflictResolution::set('format.alpha', 'any', 'Ask for alpha.'));
        } elseif ($alpha !== [] && ! in_array('none', $alpha, true) && $has === false) {
            yield Conflict::between(['format.alpha', 'format.channels'], $part->name, "Alpha is asked, and the channels {$channels} hold none.",
                ConflictResolution::set('format.channels', Channels::write([...Channels::parse((string) $channels), 'A']), 'Ask for the alpha channel too.'), ConflictResolution::set('format.alpha', 'none', 'Ask for no alpha.'));
        }
        if ($part->single('content.alpha_used') === 'yes' && ($alpha === ['none'] || ($has === false && $alpha === []))) {
            $other = $alpha === ['none'] ? 'format.alpha' : 'format.channels';
            yield Conflict::between(['content.alpha_used', $other], $part->name, 'Alpha must be in use, and there is none to be used.', ConflictResolution::drop('content.alpha_used', 'Ask no more that alpha is in use.'));
        }
    }
}
