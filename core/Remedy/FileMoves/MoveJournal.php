<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Delivery\SetAside;

/**
 * What is being renamed in a folder, written down before the first file is touched, so that it can be gone on with
 * after whatever ends it, and undone as one. It lies in the folder for what is set aside.
 */
final class MoveJournal
{
    private const UNDER_WAY = 'under-way.json';

    private const DONE = 'done-';

    private const PHASE = 'phase';

    private const MOST_KEPT = 50;

    /** @var resource|null */
    private $lock = null;

    /**
     * @param  string  $root  the delivery's folder, its real place
     */
    public function __construct(private readonly string $root) {}

    public function folder(): string
    {
        return "{$this->root}/".SetAside::FOLDER;
    }

    /**
     * Nobody else renames here meanwhile.
     *
     * @throws MoveRefused
     */
    public function lock(): void
    {
        if (! is_dir($this->folder()) && ! @mkdir($this->folder(), 0o775) && ! is_dir($this->folder())) {
            throw MoveRefused::because('', 'the folder may not be written to');
        }
        if (is_link($this->folder())) {
            throw MoveRefused::because(SetAside::FOLDER, 'is a link');
        }
        $lock = @fopen("{$this->folder()}/lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            throw MoveRefused::because('', 'somebody else is renaming in this folder');
        }
        $this->lock = $lock;
    }

    public function unlock(): void
    {
        if ($this->lock !== null) {
            flock($this->lock, LOCK_UN);
            fclose($this->lock);
            @unlink("{$this->folder()}/lock");
            // where nothing lies in it any more
            @rmdir($this->folder());
            $this->lock = null;
        }
    }

    /** @throws MoveRefused */
    public function begin(MoveWork $work): void
    {
        @unlink("{$this->folder()}/".self::PHASE);
        $this->write(self::UNDER_WAY, $work->toJson());
    }

    /** @throws MoveRefused */
    private function write(string $name, string $text): void
    {
        $beside = "{$this->folder()}/{$name}.new";
        $file = @fopen($beside, 'w');
        $isWhole = $file !== false && @fwrite($file, $text) === strlen($text) && fflush($file) && fsync($file);
        if ($file !== false) {
            fclose($file);
        }
        if (! $isWhole || ! @rename($beside, "{$this->folder()}/{$name}")) {
            @unlink($beside);
            throw MoveRefused::because('', 'there is no room to write down what is renamed');
        }
    }

    /** Work that was begun and not ended. */
    public function underWay(): ?MoveWork
    {
        return $this->read(self::UNDER_WAY);
    }

    private function read(string $name): ?MoveWork
    {
        $text = @file_get_contents("{$this->folder()}/{$name}");

        return $text === false ? null : MoveWork::fromJson($text);
    }

    public function phase(): MovePhase
    {
        $text = @file_get_contents("{$this->folder()}/".self::PHASE);

        return MovePhase::tryFrom((string) $text) ?? MovePhase::OutOfTheWay;
    }

    /** @throws MoveRefused */
    public function enter(MovePhase $phase): void
    {
        $this->write(self::PHASE, $phase->value);
    }

    /** @param  bool  $keep  whether it can be undone */
    public function end(MoveWork $work, bool $keep): void
    {
        $under = "{$this->folder()}/".self::UNDER_WAY;
        $keep ? @rename($under, "{$this->folder()}/".self::DONE."{$work->id}.json") : @unlink($under);
        @unlink("{$this->folder()}/".self::PHASE);
        foreach (array_slice(array_reverse($this->done()), self::MOST_KEPT) as $old) {
            $this->forget($old);
        }
    }

    /** Work that was undone. */
    public function forget(string $id): void
    {
        @unlink("{$this->folder()}/".self::DONE."{$id}.json");
    }

    /** @return list<string> ids of what was done and can be undone, the newest last */
    public function done(): array
    {
        $ids = [];
        foreach (@scandir($this->folder()) ?: [] as $name) {
            if (preg_match('~^'.self::DONE.'([0-9A-Za-z-]+)\.json$~', $name, $m) === 1) {
                $ids[] = $m[1];
            }
        }
        sort($ids, SORT_STRING);

        return $ids;
    }

    public function doneBy(string $id): ?MoveWork
    {
        return $this->read(self::DONE."{$id}.json");
    }
}
