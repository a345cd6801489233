<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** Something that is asked and could not be looked at from what was given, and why. */
final readonly class NotChecked
{
    private const LAYERS = 'the passes are layers of one file, which does not tell it of each';

    /**
     * @param  bool  $filesCould  whether files could have told it: of what their format does not say, or is not decoded
     *   here, no other work on them helps
     * @param  bool  $sceneCould  whether settings could have told it, and none were given
     */
    private function __construct(
        public string $id,
        public string $part,
        public ?string $pass,
        public string $why,
        public bool $filesCould,
        public bool $sceneCould,
    ) {}

    public static function of(Requirement $requirement, Subject $subject, ?string $pass = null): self
    {
        $descriptor = $requirement->descriptor;
        $inFiles = $descriptor->inFiles() || $descriptor->inDelivery();

        return new self(
            $requirement->id(),
            $subject->part->name,
            $pass,
            self::why($requirement, $subject, $pass),
            $inFiles && ! self::hasWhole($subject, $pass),
            $descriptor->inScene() && $subject->scene === null,
        );
    }

    /** @param  string|null  $of  of one pass alone */
    private static function hasWhole(Subject $subject, ?string $of): bool
    {
        foreach ($subject->match->passes ?? [] as $pass) {
            $isOther = $of !== null && $subject->part->passesByFiles() && $pass->pass !== $of;
            foreach ($isOther ? [] : $pass->frames->table() as $facts) {
                if ($facts->isWhole()) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function why(Requirement $requirement, Subject $subject, ?string $pass): string
    {
        $descriptor = $requirement->descriptor;
        $sceneCould = $descriptor->inScene() && $subject->scene === null;

        return match (true) {
            $subject->match === null && ! $sceneCould => 'only files show it, and none were given',
            $subject->match === null => 'the settings given make another part',
            $descriptor->inFiles() || $descriptor->inDelivery() => self::notInFiles($requirement, $subject, $pass),
            $subject->scene === null => 'only a scene shows it, and none was given',
            default => 'the settings given make another part',
        };
    }

    private static function notInFiles(Requirement $requirement, Subject $subject, ?string $pass): string
    {
        $kinds = self::kinds($subject);
        $movies = array_filter($kinds, static fn (Kind $k): bool => $k->isMovie()) !== [];
        $spoken = implode(' and ', array_map(static fn (Kind $k): string => $k->spoken(), $kinds));
        $ofPixels = str_starts_with($requirement->id(), 'content.');

        return match (true) {
            $subject->nothingDelivered() => 'nothing was delivered that would show it',
            $pass !== null && $kinds === [] => 'no file of this pass is there',
            $pass !== null && ! $subject->part->passesByFiles() => self::LAYERS,
            $movies && $ofPixels => self::notDecoded($requirement, $subject, $spoken),
            $kinds === [] => 'no whole file is there to be looked at',
            default => "{$spoken} files do not tell it",
        };
    }

    /** The codec is what matters, and not what it is wrapped in. */
    private static function notDecoded(Requirement $requirement, Subject $subject, string $spoken): string
    {
        foreach ($subject->match->passes ?? [] as $pass) {
            foreach ($pass->frames->table() as $facts) {
                if ($facts->movie !== null && $requirement->id() !== RequirementId::CONTENT_SOURCE) {
                    return $facts->movie->pixels->why
                        ?? MoviePictures::whyNot($facts)
                        ?? 'the pictures of a movie are not looked at for it';
                }
                if ($facts->movie !== null) {
                    return $facts->movie->shown->why
                        ?? MoviePictures::whyNot($facts)
                        ?? 'its pictures were not looked at beside other files';
                }
            }
        }

        return "the pictures of {$spoken} are not decoded here";
    }

    /** @return list<Kind> */
    private static function kinds(Subject $subject): array
    {
        $kinds = [];
        foreach ($subject->match->passes ?? [] as $pass) {
            foreach ($pass->frames->table() as $facts) {
                if ($facts->kind !== null) {
                    $kinds[$facts->kind->value] = $facts->kind;
                }
            }
        }
        if ($subject->match?->instead !== null) {
            $kinds[$subject->match->instead['kind']->value] = $subject->match->instead['kind'];
        }

        return array_values($kinds);
    }

    /** @return array{id: string, part: string, pass?: string, why: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'part' => $this->part]
            + ($this->pass === null ? [] : ['pass' => $this->pass])
            + ['why' => $this->why];
    }
}
