<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\ExactName;
use PlainLedger\Core\Naming\NameReader;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;

/** Reads the names of a delivery by what is expected, as long as there is time for it. */
final class NameReadings
{
    /** Names that fit nothing are laid against patterns up to so many times; one takes up to some milliseconds. */
    private const MOST = 2000;

    private int $done = 0;

    /** @var array<int, true> groups whose names were not read for want of time, by object id */
    private array $unread = [];

    /** @var array<int, array<string, NameReader>> by what is expected, as object id, and its extensions */
    private array $readers = [];

    /** @var array<string, NameReading|null> by what is expected, extensions and name */
    private array $known = [];

    public function __construct(private readonly Delivery $delivery) {}

    /** Null where there was no time left to read it. */
    public function read(ExpectedFiles $files, Sequence $sequence): ?NameReading
    {
        return $this->readRow($files, $sequence->group, $sequence->rows[0], $sequence->sampleName());
    }

    public function readFirst(ExpectedFiles $files, NameGroup $group): ?NameReading
    {
        return $this->readRow($files, $group, 0, $group->name(0));
    }

    private function readRow(ExpectedFiles $files, NameGroup $group, int $row, string $name): ?NameReading
    {
        if (! $this->hasTime()) {
            $this->unread[spl_object_id($group)] = true;

            return null;
        }
        $extensions = self::extensions($files->part, $this->delivery->factsOf($group, $row)->kind, $name);

        $key = spl_object_id($files).'/'.implode('/', $extensions)."/{$name}";
        if (! array_key_exists($key, $this->known)) {
            $this->done++;
            $this->known[$key] = $this->reader($files, $extensions)?->read($name);
        }

        return $this->known[$key];
    }

    /** @param  list<string>  $extensions */
    private function reader(ExpectedFiles $files, array $extensions): ?NameReader
    {
        $of = spl_object_id($files);
        $these = implode('/', $extensions);

        return $files->pattern === null
            ? null
            : $this->readers[$of][$these]
                ??= NameReader::of($files->pattern, $files->values->withExtensions($extensions));
    }

    public function hasTime(): bool
    {
        return $this->done < self::MOST;
    }

    /** How many files' names were not read. */
    public function unreadFiles(Claims $claims): int
    {
        $unread = array_filter(
            $this->delivery->groups,
            fn (NameGroup $group): bool => isset($this->unread[spl_object_id($group)]) && ! $claims->touches($group),
        );

        return array_sum(array_map(static fn (NameGroup $group): int => $group->count(), $unread));
    }

    public function exactName(ExpectedFiles $files, NameGroup $group, bool $numbered = true): ?ExactName
    {
        $extensions = self::extensions($files->part, $this->delivery->kindsOf($group)[0] ?? null, $group->name(0));

        return $files->exactName($extensions, $numbered);
    }

    /**
     * The extensions that are right for a file: the usual one of its own kind. Where its kind is not the one asked,
     * that is the format's matter, and the usual one of an asked kind will do as well.
     *
     * @return list<string>
     */
    private static function extensions(Part $part, ?Kind $kind, string $name): array
    {
        $asked = array_map(static fn (Kind $k): string => $k->usualExtension(), $part->kinds());
        $own = strtolower(Extension::of($name));
        if ($part->delivers === Delivers::File) {
            // a companion file's extension stands in its pattern
            return $asked === [] && $own !== '' ? [$own] : $asked;
        }
        if ($kind === null) {
            return $asked === [] ? [$own] : $asked;
        }
        $isAsked = $asked === [] || in_array($kind, $part->kinds(), true);

        return [$kind->usualExtension(), ...($isAsked ? [] : $asked)];
    }

    /** Whether files of the group can be of the part: by content, or where that is broken, by their extension. */
    public function couldAnswer(NameGroup $group, Part $part): bool
    {
        $kinds = $this->delivery->kindsOf($group);
        $named = Kind::fromExtension(Extension::of($group->name(0)));
        foreach ([...$kinds, ...($kinds === [] ? [$named] : [])] as $kind) {
            if (self::isDeliveredAs($part->delivers, $kind)) {
                return true;
            }
        }

        return false;
    }

    private static function isDeliveredAs(Delivers $delivers, ?Kind $kind): bool
    {
        return match ($delivers) {
            Delivers::Frames, Delivers::Still => $kind?->isPicture() ?? false,
            Delivers::Movie => $kind?->isMovie() ?? false,
            Delivers::File => true,
        };
    }
}
