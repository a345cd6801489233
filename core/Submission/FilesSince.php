<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Media\SystemFiles;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Text\Text;

/** Which files are others than those that were checked, by size and time: a seal is of the very files of a check. */
final readonly class FilesSince
{
    /**
     * @param  list<string>  $changed
     * @param  list<string>  $come
     * @param  list<string>  $gone
     */
    private function __construct(public array $changed, public array $come, public array $gone) {}

    public static function of(Delivery $checked, Seal $seal): self
    {
        $then = self::dated($checked);
        [$changed, $come] = [[], []];
        foreach ($seal->files as $file) {
            $was = $then[$file->path] ?? null;
            unset($then[$file->path]);
            if ($was === null) {
                $come[] = $file->path;
            } elseif ($was !== [$file->size, $file->modified]) {
                $changed[] = $file->path;
            }
        }

        return new self($changed, $come, array_map(strval(...), array_keys($then)));
    }

    /** @return array<array-key, array{int, int}> size and time of what was checked, by path; without lists of sums */
    public static function dated(Delivery $checked): array
    {
        $then = [];
        foreach ($checked->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $file = $group->listed($row);
                $isList = ChecksumList::isNamedSo($file->name) || ChecksumList::isChain($file->path());
                if (! $isList && ! SystemFiles::has($file->path())) {
                    $then[$file->path()] = [$file->size, $file->modified];
                }
            }
        }

        return $then;
    }

    public function areTheSame(): bool
    {
        return $this->changed === [] && $this->come === [] && $this->gone === [];
    }

    /** The first of them, in a sentence. */
    public function inWords(): string
    {
        $says = [];
        foreach ([['changed', $this->changed], ['new', $this->come], ['gone', $this->gone]] as [$word, $paths]) {
            if ($paths !== []) {
                $more = count($paths) > 1 ? ' and '.(count($paths) - 1).' more' : '';
                $says[] = Text::shown($paths[0])."{$more} {$word}";
            }
        }

        return 'Files are others than those that were checked: '.implode('; ', $says).'.';
    }
}
