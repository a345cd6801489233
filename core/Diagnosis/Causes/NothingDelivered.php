<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extra;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `nothing-delivered`, `movie-instead-of-frames`, `frames-instead-of-movie`, `pass-missing`, `pass-not-saved`. */
final readonly class NothingDelivered implements CauseFamily
{
    private const ABOUT_FILES = [
        RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_STEP, RequirementId::FORMAT_KIND,
        RequirementId::NAMING_PATTERN, RequirementId::CONTENT_WHOLE, RequirementId::FORMAT_COMPRESSION,
        RequirementId::PASSES,
    ];

    public function find(Situation $situation): iterable
    {
        $subject = $situation->subject;
        if ($subject->nothingDelivered() && $subject->pass === null) {
            yield $this->nothing($situation);
        }
        if ($subject->match !== null && $subject->match->instead !== null) {
            yield $this->instead($situation, ...$subject->match->instead);
        }
        if ($situation->inScene(RequirementId::FORMAT_KIND) && ! $situation->inFiles(RequirementId::FORMAT_KIND)) {
            yield from $this->setInstead($situation);
        }
        yield from $this->passes($situation);
    }

    /**
     * A scene that is set to write a movie where frames are asked, or the reverse.
     *
     * @return iterable<Finding>
     */
    private function setInstead(Situation $situation): iterable
    {
        $kind = Kind::tryFrom($situation->told(RequirementId::FORMAT_KIND) ?? '');
        $wantsMovie = $situation->subject->part->delivers === Delivers::Movie;
        $another = $kind !== null && $wantsMovie !== $kind->isMovie() && ($kind->isMovie() || $kind->isPicture());
        if (! $another) {
            return;
        }
        yield Finding::of(
            $kind->isMovie() ? CauseId::MovieInsteadOfFrames : CauseId::FramesInsteadOfMovie,
            Side::Scene,
            'The scene is set to write '.(
                $kind->isMovie()
                    ? "a {$kind->spoken()} movie, where single frames are asked."
                    : "{$kind->spoken()} frames, where a movie is asked."
            ),
            ["format.kind is {$kind->value}"],
            [RequirementId::FORMAT_KIND, RequirementId::FORMAT_COMPRESSION, RequirementId::NAMING_PATTERN],
            EntryFix::of($situation, RequirementId::FORMAT_KIND, 'the format')->fixes,
        );
    }

    private function nothing(Situation $situation): Finding
    {
        $told = array_keys(array_filter(
            $situation->entries,
            static fn (Entry $entry): bool => $situation->inFiles($entry->id()),
        ));
        $touches = array_filter($told, static fn (string $id): bool => ! str_starts_with($id, 'delivery.'));
        $theirs = $this->filesOfOthers($situation);
        $named = $theirs === []
            ? ''
            : ' What is there is named as another’s: '.mb_strimwidth(implode(', ', $theirs), 0, 160, '…').'.';
        $fixes = $this->deliver($situation);

        return Finding::of(
            CauseId::NothingDelivered,
            Side::Files,
            "Not one file of the part “{$situation->part()}” is there.{$named}",
            ['no file answers it', ...array_slice($theirs, 0, 10)],
            array_values($touches),
            $fixes,
        )->rendering($fixes === [])->orElse(...$theirs === [] ? [] : [CauseId::ValueOfAnother]);
    }

    /** @return list<string> paths of files that could answer the part, and are named as another's */
    private function filesOfOthers(Situation $situation): array
    {
        $theirs = array_filter(
            $situation->subject->deliveryMatch->extras ?? [],
            static fn (Extra $extra): bool => self::couldBe($extra, $situation->subject)
                && ($extra->reading?->isOfAnother($situation->subject->others) ?? false),
        );

        return array_values(array_map(static fn (Extra $extra): string => Text::shown($extra->path()), $theirs));
    }

    /** @return list<Fix> none where frames are to be rendered, which is told by their numbers */
    private function deliver(Situation $situation): array
    {
        $part = $situation->subject->part;
        $name = $part->single(RequirementId::NAMING_PATTERN) === null
            ? "the part {$part->name}"
            : $this->nameOf($situation);
        $make = $part->madeFrom === null ? 'Encode' : "Make the movie from {$part->madeFrom}";

        return match ($part->delivers) {
            Delivers::File => [Fix::deliver($part->name, $name, null, "Deliver {$name}.")],
            Delivers::Movie => [Fix::deliver($part->name, $name, null, "{$make}, and deliver {$name}.")],
            default => [],
        };
    }

    /**
     * Whether files could be of a part by what they are: movies of a movie, many pictures of frames, one of a still.
     */
    private static function couldBe(Extra $extra, Subject $subject): bool
    {
        $isMovie = $extra->kind?->isMovie() ?? false;

        return match ($subject->part->delivers) {
            Delivers::Movie => $isMovie,
            Delivers::Frames => ! $isMovie,
            Delivers::Still => ! $isMovie && $extra->count() === 1,
            Delivers::File => true,
        };
    }

    private function nameOf(Situation $situation): string
    {
        $part = $situation->subject->part;

        return NamePattern::parse($part->single(RequirementId::NAMING_PATTERN) ?? '')->make(
            $situation->subject->specification->pieceValues($part),
        );
    }

    private function instead(Situation $situation, string $path, Kind $kind, MediaFacts $facts): Finding
    {
        $part = $situation->subject->part;
        $found = $path;
        $path = Text::shown($found);
        $asked = $part->kinds()[0]->value ?? ($part->delivers === Delivers::Movie ? 'mp4' : 'png');
        if ($part->delivers === Delivers::Movie) {
            return Finding::of(
                CauseId::FramesInsteadOfMovie,
                Side::Files,
                "Frames are there, {$path}, where a movie is asked.",
                ["{$path} is {$kind->spoken()}"],
                self::ABOUT_FILES,
                [
                    Fix::encode(
                        $part->name,
                        RequirementId::FORMAT_KIND,
                        'format',
                        $kind->value,
                        $asked,
                        null,
                        "Make a movie of these frames and deliver it as {$asked}.",
                    ),
                ],
            );
        }

        $says = "A movie is there, {$path}, where single frames are asked.";
        $hasAll = self::hasAllOf($facts, $situation->subject);

        return Finding::of(
            CauseId::MovieInsteadOfFrames,
            Side::Files,
            $hasAll ? "{$says} It is lossless, and has them all." : $says,
            ["{$path} is {$kind->spoken()}"],
            self::ABOUT_FILES,
            [
                $hasAll
                    ? self::takenOut($situation, $path, $kind, $asked)
                    : Fix::set($part->name, RequirementId::FORMAT_KIND, 'the format', $kind->value, $asked),
                Fix::setAside($part->name, $found, 1),
            ],
        )->rendering(! $hasAll);
    }

    private static function takenOut(Situation $situation, string $path, Kind $kind, string $asked): Fix
    {
        $frames = $situation->subject->expected;

        return Fix::encode(
            $situation->part(),
            RequirementId::FORMAT_KIND,
            'the format',
            $kind->value,
            $asked,
            null,
            "Take the pictures out of {$path} as {$asked} frames".($frames === null ? '' : " {$frames}")
                .', each once: nothing has to be rendered.',
        );
    }

    /** Whether the frames that are asked can be taken out of a movie without losing anything. */
    private static function hasAllOf(MediaFacts $facts, Subject $subject): bool
    {
        $part = $subject->part;
        $size = $part->single(RequirementId::PICTURE_RESOLUTION);
        $depth = $part->single(RequirementId::FORMAT_BIT_DEPTH);
        $alpha = $part->single(RequirementId::FORMAT_ALPHA);
        $asksAlpha = ($alpha !== null && $alpha !== 'none')
            || str_contains(implode('', $part->values(RequirementId::FORMAT_CHANNELS)), 'A');
        $encoding = $facts->encoding;

        return $facts->isWhole()
            && $encoding->codec !== null
            && CodecCapabilities::isLossless($encoding->codec, null)
            && in_array($encoding->chroma, [null, '4:4:4'], true)
            && ($size === null || $size === "{$facts->picture->width}x{$facts->picture->height}")
            && ($depth === null || ($encoding->bitDepth ?? 0) >= (int) $depth)
            && $part->single(RequirementId::FORMAT_SAMPLE) !== 'float'
            && (! $asksAlpha || $encoding->hasAlpha() === true)
            && count($part->passes()) < 2
            && ($subject->expected === null || count($subject->expected) === $facts->timing->frameCount);
    }

    /** @return iterable<Finding> */
    private function passes(Situation $situation): iterable
    {
        $subject = $situation->subject;
        $pass = $subject->onlyPass();
        if ($subject->pass !== null && $pass?->isEmpty() === true && $subject->all?->isEmpty() === false) {
            yield Finding::of(
                CauseId::PassMissing,
                Side::Files,
                'It is not there at all, and other passes are.',
                ["no file answers {$subject->pass}"],
                [RequirementId::PASSES, RequirementId::TIME_RANGE, RequirementId::TIME_COUNT],
            )->rendering();
        }
        $inFiles = $situation->inFiles(RequirementId::PASSES);
        $asked = $situation->entry(RequirementId::PASSES)->requirement->value->values ?? [];
        if ($inFiles && $subject->pass === null && $pass !== null) {
            yield $this->layers($situation, $asked);
        }
        if ($situation->inScene(RequirementId::PASSES) && ! $inFiles) {
            yield from $this->ofScene($situation, $asked);
        }
    }

    /** @param  list<string>  $asked */
    private function layers(Situation $situation, array $asked): Finding
    {
        $found = array_map(strtolower(...), explode(' | ', $situation->found(RequirementId::PASSES) ?? ''));
        $missing = array_filter($asked, static fn (string $pass): bool => ! in_array(strtolower($pass), $found, true));

        return Finding::of(
            CauseId::PassMissing,
            Side::Files,
            'The files have no layer for '.Text::series(array_values($missing)).'.',
            ['layers found: '.implode(', ', $found)],
            [RequirementId::PASSES],
        )->rendering();
    }

    /**
     * @param  list<string>  $asked
     * @return iterable<Finding>
     */
    private function ofScene(Situation $situation, array $asked): iterable
    {
        $listed = [];
        foreach ($situation->scene()->passes ?? [] as $pass) {
            $listed[strtolower($pass['name'])] = $pass['saved'];
        }
        $off = array_values(
            array_filter(
                $asked,
                static fn (string $p): bool => array_key_exists(strtolower($p), $listed)
                    && $listed[strtolower($p)] === false,
            ),
        );
        $missing = array_values(
            array_filter($asked, static fn (string $p): bool => ! array_key_exists(strtolower($p), $listed)),
        );
        $has = $situation->found(RequirementId::PASSES) ?? 'none';
        $set = fn (string $says): Fix => Fix::set(
            $situation->part(),
            RequirementId::PASSES,
            'the passes',
            $has,
            implode(' | ', $asked),
            $says,
        );
        if ($off !== []) {
            yield Finding::of(
                CauseId::PassNotSaved,
                Side::Scene,
                Text::series($off)
                    .' '
                    .(count($off) === 1 ? 'is' : 'are')
                    .' listed in the scene and not switched on to be saved.',
                ['not saved: '.implode(', ', $off)],
                [RequirementId::PASSES],
                [$set('Switch on the saving of '.Text::series($off).'.')],
            );
        }
        if ($missing !== []) {
            yield Finding::of(
                CauseId::PassMissing,
                Side::Scene,
                'The scene has no pass '.Text::series($missing, 'or').'.',
                ["passes: {$has}"],
                [RequirementId::PASSES],
                [$set('Add '.Text::series($missing).' to the passes, to be saved.')],
            );
        }
    }
}
