<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Json\JsonRefused;

/** Where a large scene is put together. Only so much of one person is kept at a time, and nothing once it was read. */
final readonly class SceneSpool
{
    private string $spool;

    public function __construct(int $person, private string $name)
    {
        $this->spool = "spool/scene-{$person}.usda";
    }

    /**
     * @param  int  $at  how many bytes have come before
     *
     * @throws JsonRefused
     */
    public function add(int $at, string $bytes): void
    {
        if ($at === 0) {
            if (! str_starts_with(ltrim(substr($bytes, 0, 64)), '#usda')) {
                throw JsonRefused::because(
                    $this->name,
                    'only a scene as USD text can be that large. Of others, save the render settings alone.',
                );
            }
            Storage::put($this->spool, '');
        }
        if (! Storage::exists($this->spool) || Storage::size($this->spool) !== $at) {
            throw JsonRefused::because($this->name, 'a piece of it did not arrive in its turn; begin it once more.');
        }
        file_put_contents($this->path(), $bytes, FILE_APPEND);
    }

    public function path(): string
    {
        return Storage::path($this->spool);
    }

    public function remove(): void
    {
        Storage::delete($this->spool);
    }
}
