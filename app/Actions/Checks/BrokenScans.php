<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\Spool;
use App\Models\Check;
use Illuminate\Support\Facades\Storage;

/** Files that have broken off the scan of one check, so that it goes on without them. */
final class BrokenScans
{
    /** After so many a scan is given up. */
    private const MOST = 40;

    /** @param  array<array-key, list<string>>  $avoided  stages by path */
    private function __construct(private readonly string $place, private array $avoided, private int $broken) {}

    public static function of(Check $check): self
    {
        $place = Spool::name('troubles', $check);
        /** @var array{avoided?: list<array{string, list<string>}>, broken?: int}|null $kept */
        $kept = Storage::exists($place) ? json_decode((string) Storage::get($place), true, 8) : null;
        $avoided = [];
        foreach ($kept['avoided'] ?? [] as [$path, $stages]) {
            $avoided[(string) base64_decode($path, true)] = $stages;
        }

        return new self($place, $avoided, $kept['broken'] ?? 0);
    }

    /** @return array<array-key, list<string>> */
    public function avoided(): array
    {
        return $this->avoided;
    }

    /** Once one has broken off, each file is announced before it is touched. */
    public function areThere(): bool
    {
        return $this->broken > 0;
    }

    public function areTooMany(): bool
    {
        return $this->broken > self::MOST;
    }

    /** @param  array{string, string}|null  $at  path and stage, where that is known */
    public function add(?array $at): void
    {
        $this->broken++;
        if ($at !== null) {
            $this->avoided[$at[0]][] = $at[1];
        }
        $kept = [];
        foreach ($this->avoided as $path => $stages) {
            $kept[] = [base64_encode((string) $path), $stages];
        }
        Storage::put($this->place, json_encode(['avoided' => $kept, 'broken' => $this->broken], JSON_THROW_ON_ERROR));
    }

    public function forget(): void
    {
        Storage::delete($this->place);
    }
}
