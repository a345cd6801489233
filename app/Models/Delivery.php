<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\Delivery as Scanned;

/**
 * The files handed in as scanned at one moment; never changed.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $intake_root_id
 * @property string $folder
 * @property string $depth
 * @property int $file_count
 * @property int $total_size
 * @property Carbon $scanned_at
 * @property string $data
 * @property DeliveryOrigin $origin
 * @property string|null $archive  the file in the storage, where it was uploaded
 * @property IntakeRoot|null $intakeRoot
 */
final class Delivery extends Model
{
    protected $fillable = [
        'deliverable_id', 'user_id', 'intake_root_id', 'folder', 'depth', 'file_count', 'total_size', 'scanned_at',
        'origin', 'archive', 'data',
    ];

    protected $attributes = ['origin' => 'intake'];

    protected $hidden = ['data'];

    protected function casts(): array
    {
        return ['scanned_at' => 'datetime', 'origin' => DeliveryOrigin::class];
    }

    /** @return BelongsTo<IntakeRoot, $this> */
    public function intakeRoot(): BelongsTo
    {
        return $this->belongsTo(IntakeRoot::class);
    }

    /** Whether its files lie in a folder of an intake, where they can be renamed from here. */
    public function isInFolder(): bool
    {
        return $this->intake_root_id !== null && ! str_ends_with(strtolower($this->folder), '.zip');
    }

    /**
     * By which its files are looked at once more.
     *
     * @return array{root: int, folder: string, depth: string, archive?: string}|null  null where that cannot be done
     *   from here
     */
    public function order(): ?array
    {
        $order = ['root' => $this->intake_root_id ?? 0, 'folder' => $this->folder, 'depth' => $this->depth];

        return match (true) {
            $this->archive !== null => $order + ['archive' => $this->archive],
            $this->intake_root_id !== null => $order,
            default => null,
        };
    }

    public static function pack(Scanned $scanned): string
    {
        return (string) gzencode(json_encode($scanned->toArray(), JSON_THROW_ON_ERROR), 5);
    }

    public function scanned(): Scanned
    {
        /** @var array<string, mixed> $data */
        $data = json_decode((string) gzdecode($this->data), true, 64, JSON_THROW_ON_ERROR);

        return Scanned::fromArray($data);
    }
}
