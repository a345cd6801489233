<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The newest entry of a history, signed: without it, entries that were cut from the end would be missed by nobody.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $number
 * @property string $sum
 * @property string $key  base 64
 * @property string $signature  base 64
 */
final class HistoryEnd extends Model
{
    public $timestamps = false;

    protected $fillable = ['deliverable_id', 'number', 'sum', 'key', 'signature'];
}
