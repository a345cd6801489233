<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\LookPage;
use App\Models\Check;
use App\Models\CheckState;
use App\Models\DeliveryOrigin;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Inertia\Response;

/** Frames of one sequence, to be seen. */
final class LookController
{
    public function show(Request $request, #[CurrentUser] User $reader, Check $check, string $part): Response
    {
        // of files on somebody's own disk there are no pictures to be had
        $isReachable = $check->delivery !== null && $check->delivery->origin !== DeliveryOrigin::Own;
        abort_unless($check->state === CheckState::Done && $isReachable, 404);
        $check->load('delivery', 'revision');
        $check->deliverable->loadForPage();
        $pass = $request->query('pass');

        return (new LookPage($check, $part, is_string($pass) ? $pass : null, $reader))->render();
    }
}
