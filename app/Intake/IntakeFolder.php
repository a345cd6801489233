<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\Rules\RootPlace;
use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PinnedFolder;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\SetAside;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Text\Text;

/**
 * A folder below one of a production's intake roots, as far as one person may see it. Nothing outside is ever reached:
 * neither by `..`, nor by an absolute path, nor by a link.
 */
final readonly class IntakeFolder
{
    private const MOST_SHOWN = 2000;

    /** @param  string  $path  its real place */
    private function __construct(public IntakeRoot $root, public string $below, public string $path) {}

    /**
     * The part of a root this person may see: `{learner}` and `{shot}` filled for those who see only their own, the
     * folder above them all for those who oversee. Null where they may see nothing of it.
     */
    private static function part(IntakeRoot $root, Deliverable $deliverable, bool $overseer): ?string
    {
        if ($overseer) {
            return RootPlace::base($root->path);
        }
        $owner = $deliverable->owner;
        $filled = strtr($root->path, ['{shot}' => $deliverable->code, '{learner}' => $owner->handle ?? '']);

        return $filled === $root->path || ($owner === null && str_contains($root->path, '{learner}')) ? null : $filled;
    }

    /**
     * @param  string  $below  from the root's base on; empty for all this person may see
     *
     * @throws FolderRefused
     */
    public static function open(IntakeRoot $root, string $below, Deliverable $deliverable, bool $overseer): self
    {
        $part = self::part($root, $deliverable, $overseer);
        $intake = realpath((string) config('ledger.intake'));
        if ($part === null || $intake === false) {
            throw FolderRefused::because($root->label, 'is not open to you');
        }
        if (str_contains($below, "\0") || strlen($below) > 1000) {
            throw FolderRefused::because($below, 'is no folder here');
        }
        $base = realpath($intake.'/'.RootPlace::base($root->path));
        $top = realpath($intake.'/'.$part);
        // one wording for what lies outside and what is not there: nothing is told of folders elsewhere
        $named = $below === '' ? $root->label : $below;
        $path = match (true) {
            $base === false || $top === false => false,
            $below === '' => $top,
            default => realpath($base.'/'.$below),
        };
        if (
            $base === false
            || $top === false
            || $path === false
            || ! self::within($base, $intake)
            || ! self::within($top, $base)
            || ! self::within($path, $top)
            || (! is_dir($path) && ! self::isZip($path))
        ) {
            throw FolderRefused::because($named, 'is not in this intake');
        }
        if (! is_readable($path)) {
            throw FolderRefused::because($named, 'may not be read: permission is missing');
        }

        return new self($root, ltrim(substr($path, strlen($base)), '/'), $path);
    }

    /**
     * The same for those who oversee a production, without any one deliverable.
     *
     * @throws FolderRefused
     */
    public static function ofProduction(IntakeRoot $root, string $below): self
    {
        return self::open($root, $below, new Deliverable, true);
    }

    /** A regular file of that kind by its name; what it holds is seen when it is read. */
    private static function isZip(string $path): bool
    {
        return strtolower(pathinfo($path, PATHINFO_EXTENSION)) === 'zip' && is_file($path);
    }

    public function isArchive(): bool
    {
        return ! is_dir($this->path);
    }

    private static function within(string $path, string $top): bool
    {
        return $path === $top || str_starts_with($path, rtrim($top, '/').'/');
    }

    /** @return list<IntakeRoot> those this person may look into */
    public static function rootsFor(Deliverable $deliverable, bool $overseer): array
    {
        return array_values(
            array_filter(
                $deliverable->production->intakeRoots()->orderBy('id')->get()->all(),
                static fn (IntakeRoot $r): bool => self::part($r, $deliverable, $overseer) !== null,
            ),
        );
    }

    /** Where a deliverable's own files are expected below a root's base; empty where that folder has not been made. */
    public static function expected(IntakeRoot $root, Deliverable $deliverable, bool $overseer): string
    {
        try {
            $own = self::open($root, '', $deliverable, false);

            // the overseer's way there must be open as well
            return self::open($root, $own->below, $deliverable, $overseer)->below;
        } catch (FolderRefused) {
            return '';
        }
    }

    /** @return list<string> where files of a deliverable are looked for on this machine, and of no other */
    public static function ownFolders(Deliverable $deliverable): array
    {
        $folders = [];
        foreach (self::rootsFor($deliverable, false) as $root) {
            $own = self::part($root, $deliverable, false);
            if ($own !== null && $own !== $root->path) {
                $folders[] = config('ledger.intake')."/{$own}";
            }
        }

        return $folders;
    }

    /**
     * A deliverable's own folder where it has not been made: how it would be called, and for those who oversee also the
     * command that makes it. Null where it is there, or where the root has none for each.
     *
     * @return array{folder: string, make: string|null}|null
     */
    public static function wanted(IntakeRoot $root, Deliverable $deliverable, bool $overseer): ?array
    {
        $own = self::part($root, $deliverable, false);
        $intake = (string) config('ledger.intake');
        if ($own === null || $own === $root->path || is_dir("{$intake}/{$own}")) {
            return null;
        }

        return ['folder' => $own, 'make' => $overseer ? 'mkdir -p '.escapeshellarg("{$intake}/{$own}") : null];
    }

    /** @throws ArchiveRefused|SourceUnreadable */
    public function listing(): Listing
    {
        return PlaceListing::at($this->path);
    }

    /**
     * A file that lies in it, by its name; a link is none.
     *
     * @throws FolderRefused|SourceUnreadable
     */
    public function file(string $name): FileSource
    {
        $found = $this->isArchive() ? null : FolderListing::at($this->path)->find($name);

        return $found === null
            ? throw FolderRefused::because(Text::shown($name), 'is no file in this folder that may be read')
            : FileSource::listed("{$this->path}/{$name}", $found->size, $found->modified, $found->identity);
    }

    /** @return list<array{name: string, bytes: int}> files that look like logs, the newest first */
    public function logs(): array
    {
        $found = [];
        $pinned = PinnedFolder::at($this->path);
        foreach ($pinned?->names() ?? [] as $name) {
            $state = preg_match('~\.(?:log|txt|out)(?:\.\d+)?$~i', $name) === 1 && mb_check_encoding($name, 'UTF-8')
                ? $pinned?->state($name)
                : null;
            if ($state !== null && $state->isRegular() && count($found) < self::MOST_SHOWN) {
                $found[] = ['name' => $name, 'bytes' => $state->size, 'at' => $state->modified];
            }
        }
        usort($found, static fn (array $a, array $b): int => [$b['at'], $a['name']] <=> [$a['at'], $b['name']]);

        return array_map(
            static fn (array $f): array => ['name' => $f['name'], 'bytes' => $f['bytes']],
            array_slice($found, 0, 100),
        );
    }

    /**
     * Folders and archives in it, and how many files lie beside them.
     *
     * @return array{below: string, folders: list<string>, archives: list<string>, files: int, sample: list<string>,
     *   more: bool}
     */
    public function contents(): array
    {
        if ($this->isArchive()) {
            return $this->archiveContents();
        }
        [$folders, $archives, $names] = [[], [], []];
        $pinned = PinnedFolder::at($this->path);
        foreach ($pinned?->states() ?? [] as $name => $state) {
            $name = (string) $name;
            if ($state->isLink() || $name === SetAside::FOLDER) {
                continue;
            }
            // a name that is no text cannot be asked for again
            if (! mb_check_encoding($name, 'UTF-8')) {
                $names[] = $state->isFolder() ? '' : $name;
            } elseif ($state->isFolder()) {
                $folders[] = $name;
            } else {
                $names[] = $name;
                array_push($archives, ...(preg_match('~\.zip$~i', $name) === 1 ? [$name] : []));
            }
        }
        $names = array_filter($names, static fn (string $name): bool => $name !== '');
        sort($folders, SORT_NATURAL);
        sort($archives, SORT_NATURAL);

        return [
            'below' => $this->below,
            'folders' => array_slice($folders, 0, self::MOST_SHOWN),
            'archives' => array_slice($archives, 0, self::MOST_SHOWN),
            'files' => count($names),
            'sample' => self::sample($names),
            'more' => count($folders) > self::MOST_SHOWN,
        ];
    }

    /**
     * Of what is packed in one.
     *
     * @return array{below: string, folders: list<string>, archives: list<string>, files: int, sample: list<string>,
     *   more: bool}
     */
    private function archiveContents(): array
    {
        $names = [];
        foreach ($this->listing()->files() as $file) {
            $names[] = $file->path();
        }

        return [
            'below' => $this->below, 'folders' => [], 'archives' => [], 'files' => count($names),
            'sample' => self::sample($names), 'more' => false,
        ];
    }

    /**
     * @param  array<int, string>  $names
     * @return list<string> the first few
     */
    private static function sample(array $names): array
    {
        sort($names, SORT_NATURAL);

        return array_map(Text::shown(...), array_slice($names, 0, 4));
    }
}
