<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\IntakeRoot;
use App\Models\Rules\RootPlace;

/** Whether the folder of an intake root is there and can be read. */
final readonly class RootState
{
    /** Makes what of it stands before the first place to be filled; whether it is there then. */
    public static function make(IntakeRoot $root): bool
    {
        $folder = self::folder($root);
        $isThere = is_dir($folder) || @mkdir($folder, 0o775, true);

        return $isThere && self::fault($root) === null;
    }

    public static function folder(IntakeRoot $root): string
    {
        return config('ledger.intake').'/'.RootPlace::base($root->path);
    }

    /** What is wrong with it, in words; null where nothing is. */
    public static function fault(IntakeRoot $root): ?string
    {
        $folder = self::folder($root);
        $intake = realpath((string) config('ledger.intake'));
        $real = realpath($folder);

        return match (true) {
            $intake === false => 'the intake itself is not there',
            $real === false => 'this folder is not there yet',
            ! str_starts_with($real.'/', $intake.'/') => 'this leads out of the intake',
            ! is_dir($real) => 'this is no folder',
            ! is_readable($real) => 'this folder may not be read: permission is missing',
            default => null,
        };
    }
}
