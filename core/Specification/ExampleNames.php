<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Naming\NamePattern;

/** Names that a part's files will have: first, middle and last of each pass, with their folders. */
final readonly class ExampleNames
{
    /** @param  list<array{pass: string|null, folder: string, names: non-empty-list<string>}>  $sets */
    private function __construct(public array $sets) {}

    /** Null where no pattern is asked. */
    public static function of(Specification $specification, Part $part): ?self
    {
        if ($part->single(RequirementId::NAMING_PATTERN) === null) {
            return null;
        }
        $sets = [];
        foreach ($part->passesByFiles() ? $part->passes() : [null] as $pass) {
            $own = $part->ofPass($pass);
            $pattern = NamePattern::parse($own->single(RequirementId::NAMING_PATTERN) ?? '');
            $values = $specification->pieceValues($own);
            $values = $pass === null ? $values : $values->with('pass', $pass);
            $expected = PartLength::expected($own);
            $names = [$pattern->make($values)];
            if ($pattern->has('frame') && $expected !== null && ! $expected->isEmpty()) {
                $names = array_values(
                    array_unique(
                        array_map(
                            static fn (int $frame): string => $pattern->make($values, $frame),
                            [$expected->first(), self::middle($expected), $expected->last()],
                        ),
                    ),
                );
            }
            $folder = NamePattern::tidyFolder(
                NamePattern::parse($own->single(RequirementId::NAMING_FOLDER) ?? '.')->make($values),
            );
            $sets[] = ['pass' => $pass, 'folder' => $folder, 'names' => $names];
        }

        return new self($sets);
    }

    private static function middle(\PlainLedger\Core\Measure\FrameRange $range): int
    {
        $wanted = intdiv(count($range) - 1, 2);
        foreach ($range->runs() as [$first, $last]) {
            if ($wanted <= $last - $first) {
                return $first + $wanted;
            }
            $wanted -= $last - $first + 1;
        }

        return $range->last();
    }

    /**
     * The folders and names as an indented tree, a line each.
     *
     * @return list<string>
     */
    public function tree(): array
    {
        $byFolder = [];
        foreach ($this->sets as $set) {
            $byFolder[$set['folder']] = [
                ...$byFolder[$set['folder']] ?? [],
                ...(
                    count($set['names']) > 2
                        ? [$set['names'][0], '…', $set['names'][count($set['names']) - 1]]
                        : $set['names']
                ),
            ];
        }
        ksort($byFolder, SORT_STRING);
        $lines = [];
        $open = [];
        foreach ($byFolder as $folder => $names) {
            $parts = $folder === '.' ? [] : explode('/', (string) $folder);
            foreach ($parts as $depth => $part) {
                if (($open[$depth] ?? null) !== $part) {
                    $lines[] = str_repeat('  ', $depth)."{$part}/";
                    $open = [...array_slice($open, 0, $depth), $part];
                }
            }
            $open = array_slice($open, 0, count($parts));
            foreach ($names as $name) {
                $lines[] = str_repeat('  ', count($parts)).$name;
            }
        }

        return $lines;
    }
}
