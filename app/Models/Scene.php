<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Scene\Readers\AnyScene;
use PlainLedger\Core\Scene\SceneSettings;

/**
 * @property int $id
 * @property int $deliverable_id
 * @property string $file_name
 * @property string $content
 * @property Carbon $created_at
 */
final class Scene extends Model
{
    protected $fillable = ['deliverable_id', 'user_id', 'file_name', 'content'];

    public function settings(): SceneSettings
    {
        return (new AnyScene)->read($this->content, $this->file_name);
    }
}
