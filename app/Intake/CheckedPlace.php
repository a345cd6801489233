<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\IntakeRoot;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Text\PlainSentence;

/** Where files of a deliverable lie, so that they can be looked at: in an intake, or in what was uploaded. */
final readonly class CheckedPlace
{
    /** @param  string  $path  its real place */
    private function __construct(public string $path, public ?IntakeRoot $root) {}

    /**
     * @param  array{root: int, folder: string, archive?: string}  $order
     *
     * @throws PlainSentence
     */
    public static function ordered(array $order, Deliverable $deliverable, bool $overseer): self
    {
        $root = IntakeRoot::query()->find($order['root']);
        if (isset($order['archive'])) {
            return self::uploaded($order['archive'], $order['folder']);
        }
        if ($root === null) {
            throw FolderRefused::because($order['folder'], 'is not there any more');
        }

        return new self(IntakeFolder::open($root, $order['folder'], $deliverable, $overseer)->path, $root);
    }

    /** @throws PlainSentence where they lie nowhere that can be reached from here */
    public static function of(Delivery $delivery, Deliverable $deliverable, bool $overseer): self
    {
        $archive = $delivery->archive === null ? [] : ['archive' => $delivery->archive];
        $root = $delivery->intake_root_id ?? 0;

        return self::ordered(['root' => $root, 'folder' => $delivery->folder] + $archive, $deliverable, $overseer);
    }

    private static function uploaded(string $archive, string $name): self
    {
        $path = realpath(Storage::path($archive));
        if ($path === false) {
            throw FolderRefused::because($name, 'was handed in before the newest ones, and is not kept any more');
        }

        return new self($path, null);
    }

    /** @throws PlainSentence */
    public function listing(): Listing
    {
        return PlaceListing::at($this->path);
    }
}
