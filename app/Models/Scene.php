<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneSettings;

/**
 * Settings of a scene as they were brought, word for word, and what names in them meant then; never changed. Names that
 * are pointed at later make another row.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $user_id
 * @property string $file_name
 * @property string $content  kept once, however often it is brought
 * @property string $hash  of its content
 * @property list<array<string, mixed>>|null $field_map  of the production at that time, and what was pointed at for
 *   this scene alone
 * @property string|null $part  the part they make, where somebody said so
 * @property Carbon $created_at
 */
final class Scene extends Model
{
    protected $fillable = ['deliverable_id', 'user_id', 'file_name', 'content', 'field_map', 'part'];

    protected function casts(): array
    {
        return ['field_map' => 'array'];
    }

    /** @return Attribute<string, string> */
    protected function content(): Attribute
    {
        return Attribute::make(
            get: fn (): string => (string) DB::table('scene_texts')->where('hash', $this->hash)->value('content'),
            set: static function (string $content): array {
                $hash = hash('sha256', $content);
                DB::table('scene_texts')->insertOrIgnore(['hash' => $hash, 'content' => $content]);

                return ['hash' => $hash, 'content' => ''];
            },
        );
    }

    public function settings(): SceneSettings
    {
        $settings = (new DetectingReader)->read($this->content, $this->file_name, self::map($this->field_map));

        return $this->part === null ? $settings : $settings->making($this->part);
    }

    /** @param  list<array<string, mixed>>|null  $fields */
    public static function map(?array $fields): FieldMap
    {
        $map = FieldMap::none();
        foreach ($fields ?? [] as $at => $line) {
            $map = $map->with(FieldMap::meaning($line, 'names of the production', 'name '.($at + 1)));
        }

        return $map;
    }
}
