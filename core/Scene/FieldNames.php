<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\Catalogue;

/** The field that a name stands for, by whatever name people and programs give it. */
final readonly class FieldNames
{
    /** A name within a list of passes. */
    private const OF_A_LIST_OF_PASSES = '~(?:^|[./: ])(?:render[ _-]?|view[ '
        .'_-]?)?(?:passes|layers|aovs|elements)[./:](?!.*(?:count|number))([^./:]+)$~i';

    /** Whether it is in a scene that a field can be told. */
    public static function isField(string $field): bool
    {
        return isset(FieldNameTable::LABELS[$field]) || (Catalogue::standard()->find($field)?->inScene() ?? false);
    }

    /**
     * Everything a name can stand for.
     *
     * @return array<string, string> labels by field, in the ledger's order
     */
    public static function offered(): array
    {
        $offered = [];
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->inScene()) {
                $offered[$descriptor->id] = $descriptor->label;
            }
        }

        return $offered + FieldNameTable::LABELS;
    }

    /** Whether a section lists passes, so that names in it are theirs. */
    public static function isListOfPasses(string $section): bool
    {
        return self::passIn("{$section}.one") !== null;
    }

    /** The pass that a name within a list of passes names. */
    public static function passIn(string $name): ?string
    {
        return preg_match(self::OF_A_LIST_OF_PASSES, $name, $m) === 1 ? trim($m[1]) : null;
    }

    /** Whether a name, taken as a whole, is a usual one. */
    public static function isUsual(string $name): bool
    {
        $id = strtolower(str_replace([' ', '/'], '.', trim($name)));

        return self::isRequirement($id) || self::usual($name) !== null;
    }

    /** The field a name stands for; null where none is known, `""` where a map says that it is of no concern. */
    public static function of(string $name, ?FieldMap $map = null): ?string
    {
        $meaning = $map?->of($name);
        if ($meaning !== null) {
            return $meaning->is ?? '';
        }
        $id = strtolower(trim($name));
        $dotted = str_replace(' ', '.', $id);

        return match (true) {
            self::isRequirement($dotted) => $dotted,
            isset(FieldNameTable::USUAL[$id]), isset(FieldNameTable::LABELS[$id]) => $id,
            Catalogue::standard()->find($id) !== null => $id,
            default => self::byWords($name),
        };
    }

    /** Of those that are known here; not a fact of a production's own. */
    private static function isRequirement(string $id): bool
    {
        return Catalogue::standard()->find($id) !== null && ! str_starts_with($id, 'other.');
    }

    /**
     * Of `render/output.width` and `render.output.width` the last piece may be told alone, unless much else is called
     * by that word and it stands with such things.
     */
    private static function byWords(string $name): ?string
    {
        $last = (string) preg_replace('~^.*[./:]~', '', $name);
        $within = substr($name, 0, strlen($name) - strlen($last));
        $lastAlone = $within === '' || self::speaksOfOutput($within, $last);
        $percent = static fn (string $word): string => str_replace('%', ' percent', $word);

        return self::usual($percent($name)) ?? ($lastAlone ? self::usual($percent($last)) : null);
    }

    private static function usual(string $name): ?string
    {
        $plain = self::plain($name);
        foreach (FieldNameTable::USUAL as $field => $words) {
            if (in_array($plain, $words, true)) {
                return $field;
            }
        }

        return null;
    }

    private static function plain(string $name): string
    {
        return strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $name));
    }

    /** Whether a word that may mean anything, such as `scale`, can mean the output's where it stands. */
    private static function speaksOfOutput(string $within, string $word): bool
    {
        return ! in_array(self::plain($word), FieldNameTable::MEAN_ANYTHING, true)
            || preg_match(FieldNameTable::OTHER_THINGS, $within) !== 1;
    }
}
