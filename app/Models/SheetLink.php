<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\URL;

/**
 * A way to a deliverable that needs no sign-in, to read its sheet or to check files of one's own: signed, until a day,
 * and to be taken back.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int|null $user_id
 * @property Carbon $expires_at
 * @property Carbon|null $revoked_at
 * @property int $opened
 * @property int|null $submission_id  whose record it leads to
 * @property LinkKind $kind
 * @property Carbon $created_at
 * @property Deliverable $deliverable
 */
final class SheetLink extends Model
{
    protected $fillable = ['deliverable_id', 'user_id', 'expires_at', 'revoked_at', 'opened', 'kind', 'submission_id'];

    protected $attributes = ['kind' => 'sheet'];

    protected function casts(): array
    {
        return ['expires_at' => 'datetime', 'revoked_at' => 'datetime', 'kind' => LinkKind::class];
    }

    /** @return BelongsTo<Deliverable, $this> */
    public function deliverable(): BelongsTo
    {
        return $this->belongsTo(Deliverable::class);
    }

    /** @return BelongsTo<Submission, $this> */
    public function submission(): BelongsTo
    {
        return $this->belongsTo(Submission::class);
    }

    public function isOpen(): bool
    {
        return $this->revoked_at === null && $this->expires_at->isFuture();
    }

    /** Without the host: the same signature holds by whatever name the machine is reached. */
    public function path(): string
    {
        return URL::temporarySignedRoute($this->kind->route(), $this->expires_at, ['link' => $this->id], false);
    }
}
