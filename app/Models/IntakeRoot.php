<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $production_id
 * @property string $label
 * @property string $path
 */
final class IntakeRoot extends Model
{
    protected $fillable = ['production_id', 'label', 'path'];
}
