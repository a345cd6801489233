<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use PlainLedger\Core\Submission\HistoryEntry as Kept;

/**
 * Something that happened to a deliverable, bound to what happened before. It is written once; the database refuses to
 * change it.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $number
 * @property string $at
 * @property string $who
 * @property string $act
 * @property array<string, mixed> $facts
 * @property string $before
 * @property string $sum
 */
final class HistoryEntry extends Model
{
    public $timestamps = false;

    protected $fillable = ['deliverable_id', 'number', 'at', 'who', 'act', 'facts', 'before', 'sum'];

    protected function casts(): array
    {
        return ['facts' => 'array'];
    }

    public function kept(): Kept
    {
        return new Kept($this->number, $this->at, $this->who, $this->act, $this->facts, $this->before);
    }
}
