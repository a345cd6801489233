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
            $what = $movie ? 'a movie' : ($part->delivers === Delivers::Still ? 'a single picture' : 'frames');
            $offer = $movie
                ? ConflictResolution::set(RequirementId::FORMAT_KIND, 'mp4', 'Ask for MP4.')
                : ConflictResolution::set(RequirementId::FORMAT_KIND, 'png', 'Ask for PNG.');
            yield Conflict::between(
                [RequirementId::FORMAT_KIND],
                $part->name,
                "The part “{$part->name}” delivers {$what}, and {$kinds[0]->spoken()} is none.",
                $offer,
            );

            return;
        }
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        foreach ($codecs as $codec) {
            foreach ($kinds as $kind) {
                if (CodecCapabilities::fits($codec, $kind)) {
                    return;
                }
            }
        }
        if ($codecs !== [] && $movie) {
            yield Conflict::between(
                [RequirementId::FORMAT_CODEC, RequirementId::FORMAT_KIND],
                $part->name,
                "{$kinds[0]->spoken()} does not hold {$codecs[0]}.",
                ConflictResolution::set(
                    RequirementId::FORMAT_KIND,
                    $kinds[0] === Kind::Mov
                        ? 'webm'
                        : (
                            str_starts_with($codecs[0], 'vp8')
                                ? 'webm'
                                : (
                                    $kinds[0] === Kind::Webm
                                    && in_array($codecs[0], ['h264', 'hevc'], true) ? 'mp4' : 'mov'
                                )
                        ),
                    'Ask for a container that does.',
                ),
            );
        }
    }
}
