<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** Where a delivery lies. */
final readonly class DeliveryPlace
{
    /**
     * @param  string  $root  its last few folders, as it was chosen; empty where it lies in none
     * @param  bool  $mayGrow  whether more may be on its way
     * @param  int|null  $known  of so many of them, the last ones, it is certain that it lies in folders of that name:
     *   what lies above them, where it was packed or picked, is not known; null: all of them
     */
    public function __construct(public string $root = '', public bool $mayGrow = true, public ?int $known = null) {}

    /** Of a folder in it. */
    public function in(string $folder): self
    {
        $deeper = $folder === '' ? 0 : count(explode('/', $folder));

        return new self(
            trim("{$this->root}/{$folder}", '/'),
            $this->mayGrow,
            $this->known === null ? null : $this->known + $deeper,
        );
    }

    /** @return list<string> the folders that it certainly lies in, the last ones */
    public function knownFolders(): array
    {
        $all = $this->root === '' ? [] : explode('/', $this->root);

        return match ($this->known) {
            null => $all,
            0 => [],
            default => array_slice($all, -$this->known),
        };
    }
}
