<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Queue\Workers;
use Illuminate\Http\Request;
use Inertia\Middleware;

/** What every page is given. */
final class ShareWithPages extends Middleware
{
    protected $rootView = 'book';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $user = $request->user();

        return [
            ...parent::share($request),
            'person' => $user instanceof User
                ? ['name' => $user->name, 'administers' => $user->is_administrator]
                : null,
            'unread' => fn (): int => $user instanceof User ? $user->notices()->whereNull('read_at')->count() : 0,
            'alone' => fn (): bool => $user instanceof User && Workers::areMissing(),
            'change' => fn (): ?int => is_int($request->session()->get('change'))
                ? $request->session()->get('change')
                : null,
            'turned' => fn (): mixed => $request->session()->get('turned'),
            'told' => fn (): ?string => is_string($request->session()->get('told'))
                ? $request->session()->get('told')
                : null,
        ];
    }
}
