<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Rules\RootPlace;
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

    protected static function booted(): void
    {
        self::saving(static fn (self $root) => RootPlace::check($root));
    }
}
