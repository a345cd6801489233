<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;

/**
 * @property int $id
 * @property int $specification_id
 * @property int $number
 * @property array<string, mixed> $data
 * @property Carbon|null $used_at
 */
final class SpecificationRevision extends Model
{
    protected $fillable = ['specification_id', 'number', 'data', 'used_at', 'user_id'];

    protected function casts(): array
    {
        return ['data' => 'array', 'used_at' => 'datetime'];
    }

    public function layer(): Layer
    {
        return new Layer(SetBy::Specification, $this->data, "revision {$this->number}");
    }
}
