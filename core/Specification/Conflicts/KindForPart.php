<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** A movie's format asked of frames, a picture's of a movie, a codec that the container cannot hold. */
final readonly class KindForPart implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $kinds = $part->kinds();
        if ($kinds === [] || $part->delivers === Delivers::File) {
            return;
        }
        $movie = $part->delivers->isMovie();
        $suiting = array_filter($kinds, static fn (Kind $k): bool => $movie ? $k->isMovie() : $k->isPicture());
        if ($suiting === []) {
            yield $this->otherMedium($part, $kinds[0]);

            return;
        }
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        if ($codecs !== [] && $movie && ! self::anyFits($codecs, $kinds)) {
            yield Conflict::between(
                [RequirementId::FORMAT_CODEC, RequirementId::FORMAT_KIND],
                $part->name,
                "{$kinds[0]->spoken()} does not hold {$codecs[0]}.",
                ConflictResolution::set(
                    RequirementId::FORMAT_KIND,
                    self::containerFor($codecs[0], $kinds[0]),
                    'Ask for a container that does.',
                ),
            );
        }
    }

    private function otherMedium(Part $part, Kind $kind): Conflict
    {
        [$what, $word, $spoken] = match ($part->delivers) {
            Delivers::Movie => ['a movie', 'mp4', 'MP4'],
            Delivers::Still => ['a single picture', 'png', 'PNG'],
            default => ['frames', 'png', 'PNG'],
        };

        return Conflict::between(
            [RequirementId::FORMAT_KIND],
            $part->name,
            "The part “{$part->name}” delivers {$what}, and {$kind->spoken()} is none.",
            ConflictResolution::set(RequirementId::FORMAT_KIND, $word, "Ask for {$spoken}."),
        );
    }

    /**
     * @param  list<string>  $codecs
     * @param  list<Kind>  $kinds
     */
    private static function anyFits(array $codecs, array $kinds): bool
    {
        foreach ($codecs as $codec) {
            if (array_filter($kinds, static fn (Kind $kind): bool => CodecCapabilities::fits($codec, $kind)) !== []) {
                return true;
            }
        }

        return false;
    }

    private static function containerFor(string $codec, Kind $asked): string
    {
        return match (true) {
            $asked === Kind::Mov, str_starts_with($codec, 'vp8') => 'webm',
            $asked === Kind::Webm && in_array($codec, ['h264', 'hevc'], true) => 'mp4',
            default => 'mov',
        };
    }
}
