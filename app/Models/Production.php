<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property string $kind
 * @property array<string, mixed> $house
 */
final class Production extends Model
{
    protected $fillable = ['code', 'name', 'kind', 'house'];

    protected function casts(): array
    {
        return ['house' => 'array'];
    }

    /** @return HasMany<Deliverable, $this> */
    public function deliverables(): HasMany
    {
        return $this->hasMany(Deliverable::class);
    }

    /** @return HasMany<Specification, $this> */
    public function specifications(): HasMany
    {
        return $this->hasMany(Specification::class);
    }

    /** @return HasMany<IntakeRoot, $this> */
    public function intakeRoots(): HasMany
    {
        return $this->hasMany(IntakeRoot::class);
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return HasMany<Preset, $this> */
    public function presets(): HasMany
    {
        return $this->hasMany(Preset::class);
    }

    public function houseLayer(): Layer
    {
        return new Layer(SetBy::House, $this->house, 'house requirements');
    }
}
