<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\IntakeRoot;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Measure\Text;

/**
 * A folder below one of a production's intake roots, as far as one person may see it. Nothing outside is ever reached:
 * neither by `..`, nor by an absolute path, nor by a link.
 */
final readonly class IntakeFolder
{
    private const MOST_SHOWN = 2000;

    private function __construct(public IntakeRoot $root, public string $below, private string $path) {}

    /**
     * Where one root begins for this person and deliverable: `{learner}` and `{shot}` filled for those who see only
     * their own, left open (the folder above them) for those who oversee all. Null where they may see nothing of it.
     */
    private static function start(IntakeRoot $root, Deliverable $deliverable, bool $overseer): ?string
    {
        $path = $root->path;
        $owner = $deliverable->owner;
        $filled = strtr($path, ['{shot}' => $deliverable->code, '{learner}' => $owner->handle ?? '']);
        if ($overseer) {
            return explode('{', $path, 2)[0];
        }

        return $filled === $path || ($owner === null && str_contains($path, '{learner}')) ? null : $filled;
    }

    /** @throws FolderRefused */
    public static function open(IntakeRoot $root, string $below, Deliverable $deliverable, bool $overseer): self
    {
        $start = self::start($root, $deliverable, $overseer);
        $intake = realpath((string) config('ledger.intake'));
        if ($start === null || $intake === false) {
            throw FolderRefused::because($root->label, 'is not open to you');
        }
        $top = realpath($intake.'/'.trim($start, '/'));
        if ($top === false || ! self::within($top, $intake)) {
            throw FolderRefused::because($root->label, 'is not there; ask whoever runs this ledger');
        }
        if (str_contains($below, "\0") || strlen($below) > 1000) {
            throw FolderRefused::because($below, 'is no folder here');
        }
        // one wording for what lies outside and what is not there: nothing is told of folders elsewhere
        $path = realpath($top.'/'.$below);
        if ($path === false || ! self::within($path, $top) || ! is_dir($path)) {
            throw FolderRefused::because($below === '' ? $root->label : $below, 'is not in this intake');
        }
        if (! is_readable($path)) {
            throw FolderRefused::because($below === '' ? $root->label : $below, 'may not be read: permission is missing');
        }

        return new self($root, ltrim(substr($path, strlen($top)), '/'), $path);
    }

    private static function within(string $path, string $top): bool
    {
        return $path === $top || str_starts_with($path, rtrim($top, '/').'/');
    }

    /** @return list<IntakeRoot> those this person may look into */
    public static function rootsFor(Deliverable $deliverable, bool $overseer): array
    {
        return array_values(array_filter($deliverable->production->intakeRoots()->orderBy('id')->get()->all(), static fn (IntakeRoot $r): bool => self::start($r, $deliverable, $overseer) !== null));
    }

    public function listing(): FolderListing
    {
        return FolderListing::of($this->path);
    }

    /** Whether it holds no more files than this, counted only so far. */
    public function holdsAtMost(int $many): bool
    {
        $count = 0;
        foreach ($this->listing()->files() as $_) {
            if (++$count > $many) {
                return false;
            }
        }

        return true;
    }

    /**
     * Folders in it, and how many files lie beside them.
     *
     * @return array{below: string, folders: list<string>, files: int, sample: list<string>, more: bool}
     */
    public function contents(): array
    {
        $folders = [];
        $sample = [];
        $files = 0;
        $handle = @opendir($this->path);
        while ($handle !== false && ($name = readdir($handle)) !== false) {
            if ($name === '.' || $name === '..') {
                continue;
            }
            if (is_link("{$this->path}/{$name}")) {
                continue;
            }
            if (is_dir("{$this->path}/{$name}")) {
                // a name that is no text cannot be asked for again
                if (mb_check_encoding($name, 'UTF-8') && count($folders) < self::MOST_SHOWN) {
                    $folders[] = $name;
                }
            } else {
                $files++;
                if (count($sample) < self::MOST_SHOWN) {
                    $sample[] = $name;
                }
            }
        }
        if ($handle !== false) {
            closedir($handle);
        }
        sort($folders, SORT_NATURAL);
        sort($sample, SORT_NATURAL);

        return ['below' => $this->below, 'folders' => $folders, 'files' => $files, 'sample' => array_map(Text::shown(...), array_slice($sample, 0, 4)), 'more' => count($folders) >= self::MOST_SHOWN];
    }
}
