<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Values\Scalar;

/**
 * Passes as one types them: names with commas between them, and in brackets behind a name what is asked of that pass
 * alone, `beauty, mist (format.bit_depth 16; Container any)`.
 */
final readonly class PassList
{
    /**
     * @return list<string|array{name: string, require: array<string, mixed>}>
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): array
    {
        $list = [];
        // commas and bars divide where they stand in no brackets
        preg_match_all('~(?:[^,|()]|\((?:[^()"]|"(?:[^"\\\\]|\\\\.)*")*\))+~u', $text, $pieces);
        if (preg_match('~[()]~', (string) preg_replace('~\((?:[^()"]|"(?:[^"\\\\]|\\\\.)*")*\)~u', '', $text)) === 1) {
            throw NotUnderstood::because(
                'a bracket is not closed, or stands alone; write passes like “beauty, mist (bit depth 16)”.',
            );
        }
        foreach ($pieces[0] as $piece) {
            if (preg_match('~^\s*([^()]*?)\s*(?:\((.*)\)\s*)?$~su', $piece, $m) !== 1) {
                throw NotUnderstood::because(
                    '“'.trim($piece).'” is no pass; write them like “beauty, mist (bit depth 16)”.',
                );
            }
            if ($m[1] !== '' || isset($m[2])) {
                $list[] = isset($m[2]) ? ['name' => $m[1], 'require' => self::required($m[2], $m[1])] : $m[1];
            }
        }

        return $list;
    }

    /**
     * @return array<string, mixed> by id
     *
     * @throws NotUnderstood
     */
    private static function required(string $text, string $pass): array
    {
        $require = [];
        preg_match_all('~(?:[^;"]|"(?:[^"\\\\]|\\\\.)*")+~u', $text, $lines);
        foreach ($lines[0] as $line) {
            if (trim($line) !== '') {
                [$descriptor, $value] = self::named(trim($line), $pass);
                $json = json_decode($value, true);
                $require[$descriptor->id] = is_array($json) || (is_string($json) && str_starts_with($value, '"'))
                    ? $json
                    : RequirementValue::typed($descriptor, $value);
                try {
                    RequirementValue::read($descriptor, $require[$descriptor->id]);
                } catch (NotUnderstood $refused) {
                    throw NotUnderstood::because(
                        "of {$pass}, {$descriptor->label}: {$refused->getMessage()}",
                        $refused,
                    );
                }
            }
        }

        return $require;
    }

    /**
     * What a line begins with, by its id or by its label, and the value behind it.
     *
     * @return array{Descriptor, string}
     *
     * @throws NotUnderstood
     */
    private static function named(string $line, string $pass): array
    {
        $found = null;
        $length = 0;
        foreach (Catalogue::standard()->all() as $descriptor) {
            foreach ([$descriptor->id, $descriptor->label] as $name) {
                if (strlen($name) > $length && preg_match('~^'.preg_quote($name, '~').'(?=[\s:=])~i', $line) === 1) {
                    [$found, $length] = [$descriptor, strlen($name)];
                }
            }
        }
        if ($found === null) {
            throw NotUnderstood::because(
                "“{$line}” of {$pass} begins with no requirement that is known here; write it like “bit depth 16”.",
            );
        }
        if (! self::canBeAsked($found->id, $found)) {
            throw NotUnderstood::because(
                lcfirst($found->label)
                    ." is not shown by the files of one pass, so it cannot be asked of {$pass} alone.",
            );
        }

        return [$found, trim((string) preg_replace('~^\s*[:=]?\s*~', '', substr($line, $length)))];
    }

    /** Whether the files of one pass can show it. */
    public static function canBeAsked(string $id, ?Descriptor $descriptor): bool
    {
        return $descriptor !== null
            && (in_array(ReadFrom::Frames, $descriptor->readFrom, true) || $descriptor->inDelivery())
            && $id !== RequirementId::PASSES
            && ! str_starts_with($id, 'delivery.');
    }

    /** As it would be typed. */
    public static function write(RequirementValue $ask): string
    {
        return implode(', ', array_map(static function (string $name) use ($ask): string {
            $own = $ask->own[$name] ?? [];

            return $own === []
                ? $name
                : "{$name} ("
                    .implode(
                        '; ',
                        array_map(
                            static fn (string $id, mixed $value): string => "{$id} ".self::value($value),
                            array_keys($own),
                            array_values($own),
                        ),
                    )
                    .')';
        }, $ask->values));
    }

    private static function value(mixed $value): string
    {
        $plain = is_array($value) || $value === null ? '' : Scalar::text($value);

        return $plain !== '' && preg_match('~^[^();"\[{]+$~', $plain) === 1
            ? $plain
            : (string) json_encode($value, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** What is asked of single passes, in sentences; empty where nothing is. */
    public static function sentences(RequirementValue $ask): string
    {
        $said = '';
        foreach ($ask->own as $pass => $require) {
            $own = [];
            foreach ($require as $id => $json) {
                $descriptor = Catalogue::standard()->find($id);
                if ($descriptor !== null && $json !== null && self::canBeAsked($id, $descriptor)) {
                    try {
                        $own[] = Requirement::read($descriptor, $json, SetBy::Specification, $id)->sentence();
                    } catch (SpecificationRefused) {
                        // told where it is asked
                    }
                }
            }
            $said .= $own === [] ? '' : " Of {$pass}: ".implode(' ', $own);
        }

        return $said;
    }
}
