<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\Archive\ZipName;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Text\Text;

/** What a zip holds, by the names in its directory alone: nothing is unpacked to know it. */
final readonly class ArchiveContent
{
    /** Names that are read. */
    private const MOST = 20_000;

    /** @param  list<string>  $whose */
    public function of(string $name, ByteSource $source, array $whose): Brought
    {
        try {
            [$media, $texts, $first, $isBook] = self::counted($source, $name);
        } catch (BytesMissing) {
            return new Brought(BroughtKind::DeliveryArchive, 'an archive with a great many files', $whose);
        } catch (ArchiveRefused $refused) {
            return new Brought(BroughtKind::Unknown, rtrim($refused->getMessage(), '.'), $whose);
        }
        if ($isBook) {
            return new Brought(BroughtKind::Unknown, 'a workbook that could not be opened', $whose);
        }
        $more = $first === null ? $whose : [...$whose, $first];

        return match (true) {
            $media > 0 => new Brought(
                BroughtKind::DeliveryArchive,
                'an archive with '.Text::count($media, 'picture, movie or sound', 'pictures, movies or sounds'),
                $more,
            ),
            $texts > 0 => new Brought(
                BroughtKind::SettingsArchive,
                'an archive with '.Text::count($texts, 'file').' of settings',
                $more,
            ),
            default => new Brought(BroughtKind::Unknown, 'an archive with nothing in it that is read here', $whose),
        };
    }

    /**
     * @return array{int, int, string|null, bool} pictures, movies and sounds; texts; the first name of those; whether
     *   it is a workbook
     *
     * @throws ArchiveRefused
     * @throws BytesMissing
     */
    private static function counted(ByteSource $source, string $name): array
    {
        $directory = ZipDirectory::open($source, $name);
        [$media, $texts, $first] = [0, 0, null];
        foreach ($directory->entries() as $number => $entry) {
            if ($entry->name === 'xl/workbook.xml') {
                return [0, 0, null, true];
            }
            if ($number >= self::MOST) {
                break;
            }
            if ($entry->isFolder() || ZipName::isOfSystem($entry->name)) {
                continue;
            }
            $extension = strtolower(pathinfo($entry->name, PATHINFO_EXTENSION));
            $isMedium = Kind::fromExtension($extension) !== null;
            $isText = in_array($extension, ['json', 'txt', 'csv', 'tsv', 'usda', 'ini', 'cfg', 'yaml', 'yml'], true);
            $media += (int) $isMedium;
            $texts += (int) $isText;
            $first ??= $isMedium || $isText ? $entry->name : null;
        }

        return [$media, $texts, $first, false];
    }
}
