<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tree\OwedDelivery;

/**
 * Several specifications: the documents of a folder, or those that a list names, line by line or as JSON. A list may
 * hold the documents themselves.
 */
final readonly class SpecificationList
{
    private const MOST = 5000;

    /**
     * @return list<OwedDelivery> by their paths
     *
     * @throws JsonRefused
     */
    public static function read(string $path): array
    {
        $owed = is_dir($path) ? self::ofFolder($path) : self::ofList($path);
        if ($owed === []) {
            throw JsonRefused::because($path, 'there is no specification in it.');
        }
        if (count($owed) > self::MOST) {
            throw JsonRefused::because($path, 'it has more than '.number_format(self::MOST).' specifications.');
        }

        return $owed;
    }

    /** @return list<OwedDelivery> */
    private static function ofFolder(string $folder): array
    {
        $owed = [];
        foreach (scandir($folder) ?: [] as $name) {
            $path = rtrim($folder, '/')."/{$name}";
            if (is_file($path) && strtolower(pathinfo($name, PATHINFO_EXTENSION)) === 'json' && self::isOne($path)) {
                $owed[] = new OwedDelivery($name, Inputs::specification($path));
            }
        }

        return $owed;
    }

    /** Other documents may lie beside them. One that cannot be read is not passed over. */
    private static function isOne(string $path): bool
    {
        $data = json_decode(TextFile::read($path, $path), true);

        return ! is_array($data) || ($data['format'] ?? Specification::FORMAT) === Specification::FORMAT;
    }

    /** @return list<OwedDelivery> */
    private static function ofList(string $path): array
    {
        $text = TextFile::read($path, $path);
        $data = json_decode($text, true);
        if (is_array($data) && ! array_is_list($data)) {
            return [new OwedDelivery(basename($path), Inputs::specification($path))];
        }
        $entries = is_array($data) ? $data : self::lines($text);
        $owed = [];
        foreach ($entries as $at => $entry) {
            $owed[] = is_string($entry)
                ? new OwedDelivery($entry, Inputs::specification(self::beside($path, $entry)))
                : new OwedDelivery((string) ($at + 1), Specification::fromDocument(JsonDocument::parse(
                    json_encode($entry, JSON_THROW_ON_ERROR),
                    "{$path}, entry ".($at + 1),
                    Specification::FORMAT,
                )));
        }

        return $owed;
    }

    /** @return list<string> without empty ones and remarks */
    private static function lines(string $text): array
    {
        $lines = array_map(trim(...), preg_split('~\R~', $text) ?: []);

        return array_values(array_filter($lines, static fn (string $l): bool => $l !== '' && $l[0] !== '#'));
    }

    private static function beside(string $list, string $path): string
    {
        return str_starts_with($path, '/') ? $path : dirname($list)."/{$path}";
    }
}
