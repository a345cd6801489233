<?php

declare(strict_types=1);

namespace App\Health;

use App\Audit\Chain;
use App\Database\Restore;
use App\Models\Deliverable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Everything an installation stands on, looked at once: what is missing or wrong, and what to do about it.
 *
 * @phpstan-type Line array{well: bool, says: string, do: string|null}
 */
final readonly class Doctor
{
    private const EXTENSIONS = ['pdo_sqlite', 'sqlite3', 'gd', 'zip', 'intl', 'mbstring', 'dom', 'curl', 'sodium'];

    /** Hours after which a backup is old, where they are made every night. */
    private const OLD = 36;

    /** Seconds that the clocks of the machine and of its disk may be apart. */
    private const APART = 5;

    /** @return array<string, Line> by what is looked at */
    public static function look(): array
    {
        return [
            'PHP' => self::php(),
            'key' => self::line((string) config('app.key') !== '', 'APP_KEY', 'php artisan key:generate'),
            'faults shown' => self::line(! config('app.debug'), 'APP_DEBUG', 'set APP_DEBUG=false: pages show secrets'),
            'pages' => self::line(
                is_file(public_path('build/manifest.json')),
                'built',
                'npm ci && npx vite build',
            ),
            '.env' => self::environment(),
            ...self::folders(),
            ...self::databases(),
            'migrations' => self::migrations(),
            'clock' => self::clock(),
            'histories' => self::histories(),
            'backups' => self::backups(),
            'schedule' => self::schedule(),
            ...array_map(
                static fn (array $line): array => $line + ['do' => null],
                array_diff_key(Health::now(), ['database' => 1, 'sessions and queue' => 1]),
            ),
        ];
    }

    /** @return Line */
    private static function line(bool $well, string $says, string $do): array
    {
        return ['well' => $well, 'says' => $says, 'do' => $well ? null : $do];
    }

    /** @return Line */
    private static function php(): array
    {
        $missing = array_values(array_filter(
            self::EXTENSIONS,
            static fn (string $name): bool => ! extension_loaded($name),
        ));

        return self::line(
            $missing === [],
            PHP_VERSION.($missing === [] ? '' : ', without '.implode(', ', $missing)),
            'install PHP with '.implode(', ', self::EXTENSIONS),
        );
    }

    /** @return Line */
    private static function environment(): array
    {
        $path = base_path('.env');
        $mode = is_file($path) ? (int) fileperms($path) & 0o007 : 0;

        return self::line($mode === 0, $mode === 0 ? 'for its owner alone' : 'others can read it', 'chmod 600 .env');
    }

    /** @return array<string, Line> */
    private static function folders(): array
    {
        $lines = [];
        $folders = [storage_path(), base_path('bootstrap/cache'), (string) config('ledger.intake')];
        // what is kept of files may lie elsewhere; it is made with the first of them
        $kept = (string) config('filesystems.disks.local.root');
        foreach (is_dir($kept) ? [...$folders, $kept] : $folders as $folder) {
            $lines[$folder] = self::line(
                is_dir($folder) && is_readable($folder) && is_writable($folder),
                is_dir($folder) ? 'can be read and written to' : 'is not there',
                "mkdir -p {$folder}; give it to whoever runs the server",
            );
        }

        return $lines;
    }

    /** @return array<string, Line> */
    private static function databases(): array
    {
        $lines = [];
        foreach (['ledger', 'side'] as $name) {
            try {
                $says = (string) DB::connection($name)->scalar('pragma quick_check');
            } catch (\Throwable $fault) {
                $says = MachineTrouble::of($fault)->inWords();
            }
            $lines["database {$name}"] = self::line(
                $says === 'ok',
                $says === 'ok' ? 'whole' : $says,
                'php artisan ledger:restore',
            );
        }

        return $lines;
    }

    /** @return Line */
    private static function migrations(): array
    {
        try {
            $ran = DB::table('migrations')->pluck('migration')->all();
            $known = array_map(
                static fn (string $file): string => basename($file, '.php'),
                glob(database_path('migrations/*.php')) ?: [],
            );
            $missing = count(array_diff($known, $ran));
        } catch (\Throwable) {
            return self::line(false, 'cannot be asked', 'php artisan ledger:migrate');
        }

        $says = $missing === 0 ? 'all done' : "{$missing} to do";

        return self::line($missing === 0, $says, 'php artisan ledger:migrate');
    }

    /**
     * Sessions, links and files are told apart by it.
     *
     * @return Line
     */
    private static function clock(): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'clock');
        $apart = abs((int) filemtime($path) - time());
        @unlink($path);

        return self::line(
            $apart <= self::APART && Carbon::now()->year >= 2026,
            Carbon::now()->toIso8601ZuluString().($apart > self::APART ? ", and the disk is {$apart} s apart" : ''),
            'let the machine keep its clock by NTP',
        );
    }

    /**
     * Whether what happened to each deliverable is as it was written.
     *
     * @return Line
     */
    private static function histories(): array
    {
        $faults = Chain::faults();
        $told = array_map(
            static fn (int $id, string $fault): string => Deliverable::query()->whereKey($id)->value('code')
                .": {$fault}",
            array_keys($faults),
            $faults,
        );

        return self::line(
            $faults === [],
            $faults === [] ? 'hold' : implode('; ', array_slice($told, 0, 5)),
            'somebody changed the database beside the program: bring back a backup from before',
        );
    }

    /** @return Line */
    private static function backups(): array
    {
        $newest = Restore::moments()[0] ?? null;
        if ($newest === null) {
            return self::line(false, 'there is none', 'php artisan ledger:backup');
        }
        $made = Carbon::createFromFormat('Ymd-His', $newest, 'UTC');
        $hours = $made === null ? PHP_INT_MAX : (int) $made->diffInHours(Carbon::now());

        return self::line($hours <= self::OLD, "the newest is {$hours} hours old", 'php artisan ledger:backup');
    }

    /** @return Line */
    private static function schedule(): array
    {
        $seen = Schedule::seen();
        $isWell = $seen !== null && time() - $seen < 300;

        return self::line(
            $isWell,
            $isWell ? 'runs' : 'was not seen for five minutes',
            'bin/start keeps it running; by hand: php artisan schedule:work',
        );
    }
}
