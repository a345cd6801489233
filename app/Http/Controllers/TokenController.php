<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Security\SecurityLog;
use App\Security\TokenScope;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Laravel\Sanctum\PersonalAccessToken;

/** Personal tokens, by which a program may do what its owner may. */
final class TokenController
{
    private const MOST = 20;

    public function show(Request $request): Response
    {
        /** @var User $person */
        $person = $request->user();

        return Inertia::render('Tokens', [
            'tokens' => $person->tokens()->orderByDesc('id')->get()->map(static fn (PersonalAccessToken $t): array => [
                'id' => $t->getKey(),
                'name' => $t->name,
                'scope' => self::scope($t)->inWords(),
                'made' => $t->created_at?->format('j M Y'),
                'used' => $t->last_used_at?->format('j M Y, H:i'),
                'until' => $t->expires_at?->format('j M Y'),
                'over' => $t->expires_at?->isPast() ?? false,
            ])->all(),
            'scopes' => array_map(
                static fn (TokenScope $s): array => ['scope' => $s->value, 'says' => $s->inWords()],
                [TokenScope::Read, TokenScope::Check],
            ),
            'fresh' => $request->session()->get('token'),
            'address' => url('/api'),
        ]);
    }

    private static function scope(PersonalAccessToken $token): TokenScope
    {
        $held = array_filter(TokenScope::cases(), static fn (TokenScope $s): bool => $token->can($s->value));

        return array_values($held)[count($held) - 1] ?? TokenScope::Read;
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'days' => ['required', 'integer', 'min:1', 'max:366'],
                'scope' => ['nullable', 'in:read,check'],
            ],
            ['name.required' => 'Say what it is for, so that you know it again.', 'days.*' => 'From 1 to 366 days.'],
        );
        /** @var User $person */
        $person = $request->user();
        if ($person->tokens()->count() >= self::MOST) {
            throw ValidationException::withMessages(['name' => 'You have '.self::MOST.' tokens; take one away first.']);
        }
        $token = $person->createToken(
            $given['name'],
            [$given['scope'] ?? 'check'],
            Carbon::now()->addDays((int) $given['days']),
        );
        SecurityLog::note(
            'token made',
            ['token' => (int) $token->accessToken->getKey(), 'scope' => $given['scope'] ?? 'check'],
        );

        // it is shown once; only its hash is kept
        return redirect()->route('tokens')->with('token', $token->plainTextToken);
    }

    public function destroy(Request $request, int $token): RedirectResponse
    {
        /** @var User $person */
        $person = $request->user();
        $person->tokens()->whereKey($token)->firstOrFail()->delete();
        SecurityLog::note('token taken away', ['token' => $token]);

        return redirect()->route('tokens');
    }
}
