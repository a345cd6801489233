<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Matching\ExpectedFiles;

/**
 * The files of one deliverable out of a tree, as if they had been delivered alone: from the folder on that holds them
 * all, unless its own folder is asked from the tree's root on.
 */
final readonly class OwnFiles
{
    /** @param  list<TreeUnit>  $units */
    public static function of(OwedDelivery $owed, array $units, Delivery $tree): Delivery
    {
        $base = self::base($owed, $units, $tree);
        $groups = [];
        foreach (self::rows($units) as [$group, $rows]) {
            sort($rows);
            $groups[] = $group->only($rows, self::below($group->folder, $base));
        }

        return new Delivery(
            $groups,
            $tree->facts,
            [],
            $tree->scannedAt,
            $tree->depth,
            $tree->place->in($base),
        );
    }

    /**
     * @param  list<TreeUnit>  $units
     * @return iterable<array{NameGroup, non-empty-list<int>}>
     */
    private static function rows(array $units): iterable
    {
        $rows = [];
        $groups = [];
        foreach ($units as $unit) {
            $id = spl_object_id($unit->group);
            $groups[$id] = $unit->group;
            $rows[$id] = [...$rows[$id] ?? [], ...$unit->rows];
        }
        foreach ($groups as $id => $group) {
            if ($rows[$id] !== []) {
                yield [$group, $rows[$id]];
            }
        }
    }

    /**
     * The folder that counts as chosen.
     *
     * @param  list<TreeUnit>  $units
     */
    public static function base(OwedDelivery $owed, array $units, Delivery $tree): string
    {
        $folders = array_map(static fn (TreeUnit $unit): string => $unit->group->folder, $units);
        foreach (ExpectedFiles::all($owed->specification, null, $tree->place) as $files) {
            foreach ($files->folder === null ? [] : $folders as $folder) {
                if ($files->folderFits($folder)) {
                    return '';
                }
            }
        }

        return self::shared($folders);
    }

    /** @param  list<string>  $folders */
    private static function shared(array $folders): string
    {
        $shared = $folders === [] ? [] : explode('/', $folders[0]);
        foreach ($folders as $folder) {
            $steps = explode('/', $folder);
            $same = 0;
            while ($same < count($shared) && ($steps[$same] ?? null) === $shared[$same]) {
                $same++;
            }
            $shared = array_slice($shared, 0, $same);
        }

        return implode('/', $shared);
    }

    public static function below(string $folder, string $base): string
    {
        return $base === '' ? $folder : ltrim(substr($folder, strlen($base)), '/');
    }
}
