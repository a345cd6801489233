<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\AgainstPage;
use App\Models\Check;
use App\Models\CheckState;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** Two checks of one deliverable beside each other. */
final class AgainstController
{
    public function show(#[CurrentUser] User $reader, Check $check, int $other): Response
    {
        $beside = $check->deliverable->checks()->done()->findOrFail($other);
        abort_unless($check->state === CheckState::Done, 404);
        $check->load('delivery', 'revision');
        $check->deliverable->loadForPage();
        [$before, $now] = $check->id < $beside->id ? [$check, $beside] : [$beside, $check];
        $now->setRelation('deliverable', $check->deliverable);

        return (new AgainstPage($now, $before, $reader))->render();
    }
}
