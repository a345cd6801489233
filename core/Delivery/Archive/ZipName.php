<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Media\ByteOrder;

/** Names of a zip's entries, which are written in several encodings and with several marks between folders. */
final readonly class ZipName
{
    /** The name once more, in UTF-8, with a sum of what it stands for. */
    private const IN_UTF8 = 0x7075;

    /** In UTF-8 where it is, or where a field tells it so; else as the first of these systems wrote. */
    public static function raw(string $name, string $extra): string
    {
        $field = ZipDirectory::field($extra, self::IN_UTF8);
        $isOfName = strlen($field) > 5 && ByteOrder::Little->u32($field, 1) === crc32($name);
        $told = $isOfName ? substr($field, 5) : $name;
        if (mb_check_encoding($told, 'UTF-8')) {
            return str_replace('\\', '/', $told);
        }
        $converted = @iconv('CP437', 'UTF-8', $told);

        return str_replace('\\', '/', $converted === false ? $told : $converted);
    }

    /** Whether it stays below where it is unpacked. */
    public static function staysInside(string $name): bool
    {
        return $name !== ''
            && $name[0] !== '/'
            && ! str_contains($name, "\0")
            && preg_match('~^[A-Za-z]:|(?:^|/)\.\.(?:/|$)~', $name) !== 1;
    }

    /** @return array{string, string} folder and name, without steps that lead nowhere */
    public static function parts(string $name): array
    {
        $steps = array_values(array_filter(
            explode('/', $name),
            static fn (string $step): bool => $step !== '' && $step !== '.',
        ));
        $own = array_pop($steps) ?? '';

        return [implode('/', $steps), $own];
    }

    /** What some systems add beside the files themselves. */
    public static function isOfSystem(string $name): bool
    {
        return preg_match('~(?:^|/)__MACOSX/~', $name) === 1;
    }
}
