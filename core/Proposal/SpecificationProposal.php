<?php

declare(strict_types=1);

namespace PlainLedger\Core\Proposal;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;

/**
 * A specification made from files: the requirements that a delivery fulfils. Only what all frames have in common is
 * proposed; damaged files propose nothing but their names.
 */
final readonly class SpecificationProposal
{
    private const MOST_PARTS = 12;

    /** @param  array<string, mixed>  $document  as a specification document has it */
    private function __construct(public array $document) {}

    /**
     * @param  string|null  $shot  where names begin with it, the piece {shot} stands for it
     * @return self|null null where nothing in the delivery is a picture or a movie
     */
    public static function from(Delivery $delivery, ?string $shot = null): ?self
    {
        $values = $shot === null || $shot === '' ? [] : ['shot' => $shot];
        $parts = [];
        foreach (self::sets($delivery) as [$kind, $sequences]) {
            if (count($parts) >= self::MOST_PARTS) {
                break;
            }
            $delivers = $kind->isMovie()
                ? Delivers::Movie
                : (
                    $sequences[0]->column === null
                    || count($sequences[0]->frames) < 2 ? Delivers::Still : Delivers::Frames
                );
            $name = $delivers->value;
            for ($n = 2; isset($parts[$name]); $n++) {
                $name = "{$delivers->value} {$n}";
            }
            $parts[$name] = [
                'name' => $name,
                'delivers' => $delivers->value,
                'require' => self::require($delivery, $kind, $sequences, $delivers, $values),
            ];
        }
        if ($parts === []) {
            return null;
        }
        $parts = array_values($parts);
        $document = ['values' => $values] + (
            count($parts) === 1
                ? ['delivers' => $parts[0]['delivers'], 'require' => $parts[0]['require']]
                : ['parts' => $parts]
        );

        return new self($document);
    }

    /**
     * Sequences that are one part: alike in kind, folder and frames, and in their names but for one word.
     *
     * @return list<array{Kind, non-empty-list<Sequence>}> the largest first
     */
    private static function sets(Delivery $delivery): array
    {
        $sets = [];
        foreach ($delivery->groups as $group) {
            $column = $group->count() > 1
                ? Sequence::likelyColumn($group)
                : (preg_match('~\d{3,}\.[A-Za-z]~', $group->name(0)) === 1 ? Sequence::likelyColumn($group) : null);
            foreach (Sequence::of($group, $column) as $sequence) {
                $kind = null;
                foreach (array_slice($sequence->rows, 0, 20) as $row) {
                    $kind ??= $delivery->factsOf($group, $row)->kind;
                }
                if ($kind !== null && ($kind->isPicture() || $kind->isMovie())) {
                    $key = "{$kind->value}/{$sequence->folder()}/{$sequence->frames}/".(
                        $kind->isMovie()
                        || count($sequence->frames) < 2 ? $sequence->pattern() : ''
                    );
                    $sets[$key] ??= [$kind, []];
                    $sets[$key][1][] = $sequence;
                }
            }
        }
        $apart = [];
        foreach ($sets as [$kind, $sequences]) {
            if (count($sequences) > 1 && self::word($sequences) === null) {
                foreach ($sequences as $sequence) {
                    $apart[] = [$kind, [$sequence]];
                }
            } elseif ($sequences !== []) {
                $apart[] = [$kind, $sequences];
            }
        }
        usort(
            $apart,
            static fn (array $a, array $b): int => [
                $a[0]->isMovie(),
                -self::count($a[1]),
                $a[1][0]->pattern(),
            ] <=> [$b[0]->isMovie(), -self::count($b[1]), $b[1][0]->pattern()],
        );

        return $apart;
    }

    /** @param  list<Sequence>  $sequences */
    private static function count(array $sequences): int
    {
        return array_sum(array_map(static fn (Sequence $s): int => $s->count(), $sequences));
    }

    /**
     * The one word in which names differ, with what stands before and after it.
     *
     * @param  non-empty-list<Sequence>  $sequences
     * @return array{string, string, list<string>}|null
     */
    private static function word(array $sequences): ?array
    {
        $names = array_map(static fn (Sequence $s): string => $s->pattern(), $sequences);
        $split = static fn (string $name): array => preg_split('~([._ -]+)~', $name, -1, PREG_SPLIT_DELIM_CAPTURE)
            ?: [];
        $pieces = array_map($split, $names);
        if (count(array_unique(array_map(count(...), $pieces))) > 1) {
            return null;
        }
        $differ = [];
        foreach (array_keys($pieces[0]) as $at) {
            if (count(array_unique(array_column($pieces, $at))) > 1) {
                $differ[] = $at;
            }
        }
        if (count($differ) !== 1) {
            return null;
        }
        $words = array_column($pieces, $differ[0]);

        return array_filter(
            $words,
            static fn (string $w): bool => preg_match('~^[A-Za-z][A-Za-z0-9]*$~', $w) !== 1,
        ) !== []
            ? null
            : [
                implode('', array_slice($pieces[0], 0, $differ[0])),
                implode('', array_slice($pieces[0], $differ[0] + 1)),
                $words,
            ];
    }

    /**
     * @param  non-empty-list<Sequence>  $sequences
     * @param  array<string, int|string>  $values  the version is added where a name has one
     * @return array<string, mixed>
     */
    private static function require(
        Delivery $delivery, Kind $kind, array $sequences, Delivers $delivers, array &$values
    ): array {
        $facts = [];
        foreach ($sequences as $sequence) {
            $ids = $sequence->group->factsIds();
            foreach ($sequence->rows as $row) {
                $facts[$ids[$row]] ??= $delivery->facts->get($ids[$row]);
            }
        }
        $whole = array_values(array_filter($facts, static fn (MediaFacts $f): bool => $f->isWhole()));
        $require = self::shared($whole);
        if ($delivers === Delivers::Frames) {
            $require[RequirementId::TIME_RANGE] = (string) $sequences[0]->frames;
        }
        $require[RequirementId::FORMAT_KIND] = $kind->value;
        $word = count($sequences) > 1 ? self::word($sequences) : null;
        $name = $word === null ? $sequences[0]->pattern() : $word[0]."\0".$word[1];
        $require[RequirementId::NAMING_PATTERN] = self::pattern($name, $sequences[0], $kind, $delivers, $values);
        if ($word !== null) {
            $require['passes'] = $word[2];
        } else {
            $require = [...$require, ...self::layers($whole)];
        }
        if ($sequences[0]->folder() !== '') {
            $require[RequirementId::NAMING_FOLDER] = strtr($sequences[0]->folder(), ['{' => '{{', '}' => '}}']);
        }
        if ($whole !== [] && count($whole) === count($facts) && $whole[0]->complete !== null) {
            $require[RequirementId::CONTENT_WHOLE] = 'yes';
        }
        uksort(
            $require,
            static fn (string $a, string $b): int => Catalogue::standard()->place($a) <=> Catalogue::standard()
                ->place($b),
        );

        return $require;
    }

    /**
     * @param  list<MediaFacts>  $whole
     * @return array<string, mixed>
     */
    private static function shared(array $whole): array
    {
        $tell = [
            RequirementId::PICTURE_RESOLUTION => static fn (MediaFacts $f): ?string => $f->width === null
                || $f->height === null
                ? null
                : "{$f->width}x{$f->height}",
            RequirementId::PICTURE_PIXEL_ASPECT => static fn (MediaFacts $f): ?string => $f->pixelAspect === null
                ? null
                : Fraction::writeFull($f->pixelAspect),
            RequirementId::PICTURE_REGION => static fn (MediaFacts $f): ?string => $f->region === 'full'
                ? 'full'
                : null,
            RequirementId::PICTURE_DENSITY => static fn (MediaFacts $f): ?int => $f->density,
            RequirementId::PICTURE_PROJECTION => static fn (MediaFacts $f): ?string => $f->projection === 'lat-long'
                && $f->height !== null
                && $f->width === 2 * $f->height
                ? 'lat-long'
                : null,
            RequirementId::TIME_RATE => static fn (MediaFacts $f): ?string => $f->frameRate === null
                ? null
                : (string) $f->frameRate,
            RequirementId::CAMERA_NAME => static fn (MediaFacts $f): ?string => $f->camera !== null
                && preg_match('~[*?|]~', $f->camera) !== 1
                ? $f->camera
                : null,
            RequirementId::FORMAT_BIT_DEPTH => static fn (MediaFacts $f): ?int => $f->bitDepth,
            RequirementId::FORMAT_SAMPLE => static fn (MediaFacts $f): ?string => $f->sample,
            RequirementId::FORMAT_CHANNELS => static fn (MediaFacts $f): ?string => $f->channelsText(),
            RequirementId::FORMAT_COMPRESSION => static fn (MediaFacts $f): ?string => in_array(
                $f->compression,
                Catalogue::standard()->find(RequirementId::FORMAT_COMPRESSION)->accepts->words ?? [],
                true,
            )
                ? $f->compression
                : null,
            RequirementId::FORMAT_CHROMA => static fn (MediaFacts $f): ?string => in_array(
                $f->chroma,
                ['4:4:4', '4:2:2', '4:2:0'],
                true,
            )
                ? $f->chroma
                : null,
            RequirementId::COLOUR_ENCODING => static fn (MediaFacts $f): ?string => $f->colour,
        ];
        $require = [];
        foreach ($tell as $id => $ask) {
            $told = array_map($ask, $whole);
            if ($told !== [] && count(array_unique($told, SORT_REGULAR)) === 1 && $told[0] !== null) {
                $require[$id] = $told[0];
            }
        }

        return $require;
    }

    /**
     * Layers are passes of their own, and the channels those of the picture they are beside.
     *
     * @param  list<MediaFacts>  $whole
     * @return array<string, mixed> empty where the files have no layers, or not the same
     */
    private static function layers(array $whole): array
    {
        $layers = $whole[0]->layers ?? [];
        foreach ($whole as $facts) {
            if ($facts->layers !== $layers || $facts->channels !== $whole[0]->channels) {
                return [];
            }
        }
        if (
            $layers === []
            || array_filter($layers, static fn (string $l): bool => preg_match('~^[A-Za-z][\w -]*$~', $l) !== 1) !== []
        ) {
            return [];
        }
        $plain = array_values(
            array_filter($whole[0]->channels ?? [], static fn (string $c): bool => Channels::split($c)[0] === ''),
        );
        $pictured = array_intersect(['R', 'G', 'B', 'Y'], $plain) !== [];

        return ['passes' => [...($pictured ? ['beauty'] : []), ...$layers]] + (
            $plain === [] ? [] : [RequirementId::FORMAT_CHANNELS => Channels::write($plain)]
        );
    }

    /**
     * The name with its number, version, shot and extension as pieces.
     *
     * @param  string  $name  `#` for digits of the frame number, a zero byte where the pass stands
     * @param  array<string, int|string>  $values
     */
    private static function pattern(
        string $name,
        Sequence $sequence,
        Kind $kind,
        Delivers $delivers,
        array &$values,
    ): string {
        $extension = Extension::of($name);
        $pattern = strtr($name, ['{' => '{{', '}' => '}}']);
        if ($extension === $kind->usualExtension()) {
            $pattern = substr($pattern, 0, -strlen($extension)).'{ext}';
        }
        if ($sequence->column !== null && $delivers === Delivers::Frames) {
            $hashes = str_repeat('#', $sequence->digits);
            $at = strrpos($pattern, $hashes);
            $pattern = $at === false
                ? $pattern
                : substr($pattern, 0, $at)
                    .($sequence->digits === 1 ? '{frame}' : "{frame:{$sequence->digits}}")
                    .substr($pattern, $at + strlen($hashes));
        } elseif ($sequence->column !== null) {
            // a number that counts nothing is text
            $pattern = str_replace(
                str_repeat('#', $sequence->digits),
                str_pad((string) $sequence->numbers[0], $sequence->digits, '0', STR_PAD_LEFT),
                $pattern,
            );
        }
        if (
            preg_match('~(?<![A-Za-z0-9])v(\d{2,4})(?!\d)~', $pattern, $m, PREG_OFFSET_CAPTURE) === 1
            && (int) ($values['version'] ??= (int) $m[1][0]) === (int) $m[1][0]
        ) {
            $pattern = substr_replace($pattern, '{version:'.strlen($m[1][0]).'}', $m[1][1], strlen($m[1][0]));
        }
        $shot = (string) ($values['shot'] ?? '');
        if ($shot !== '' && str_starts_with($pattern, $shot)) {
            $pattern = '{shot}'.substr($pattern, strlen($shot));
        }
        $pattern = str_replace("\0", '{pass}', $pattern);
        try {
            return (string) NamePattern::parse($pattern);
        } catch (\PlainLedger\Core\Naming\PatternRefused) {
            return $delivers === Delivers::Frames ? '{shot}.{frame:4}.{ext}' : '{shot}.{ext}';
        }
    }
}
