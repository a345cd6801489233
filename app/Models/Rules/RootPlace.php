<?php

declare(strict_types=1);

namespace App\Models\Rules;

use App\Models\IntakeRoot;
use Illuminate\Support\Str;

/** Where an intake root may lie: in a place of its own, into which no other production's reaches. */
final readonly class RootPlace
{
    /** The folder that every path of a root is told from: all before the first place to be filled. */
    public static function base(string $path): string
    {
        $before = explode('{', $path, 2);

        return trim(count($before) === 1 ? $path : substr($before[0], 0, (int) strrpos('/'.$before[0], '/')), '/');
    }

    /** @throws RootRefused */
    public static function check(IntakeRoot $root): void
    {
        $base = self::base($root->path);
        $pieces = explode('/', $root->path);
        if (
            array_intersect($pieces, ['.', '..']) !== []
            || str_contains($root->path, "\0")
            || str_starts_with($root->path, '/')
        ) {
            throw RootRefused::because($root->path, 'is no path below the intake folder');
        }
        if ($base === '') {
            throw RootRefused::because(
                $root->path,
                'would be the intake folder itself, in which every production lies',
            );
        }
        foreach (IntakeRoot::query()->where('production_id', '!=', $root->production_id)->get() as $other) {
            $theirs = self::base($other->path);
            if (self::holds($base, $theirs) || self::holds($theirs, $base)) {
                throw RootRefused::because(
                    $root->path,
                    'reaches into the intake of another production, or that into this one',
                );
            }
        }
    }

    /** Without regard to case: some disks have none. */
    private static function holds(string $folder, string $other): bool
    {
        return str_starts_with(Str::lower($other).'/', Str::lower($folder).'/');
    }
}
