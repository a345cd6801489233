<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $name
 * @property string $delivers
 * @property int|null $made_from_id
 */
final class Part extends Model
{
    protected $fillable = ['deliverable_id', 'name', 'delivers', 'made_from_id'];
}
