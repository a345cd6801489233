<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Http\Pages\Account\TokensPage;
use App\Http\Requests\Account\TokenRequest;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

final class TokenController
{
    private const MOST = 20;

    public function index(Request $request, #[CurrentUser] User $person): Response
    {
        $fresh = $request->session()->get('token');

        $session = $request->session();

        $offered = $session->get(OneTimeCodeController::OFFERED);
        $recovery = $session->get(OneTimeCodeController::FRESH);

        return (new TokensPage(
            $person,
            is_string($fresh) ? $fresh : null,
            $session->getId(),
            is_string($offered) ? $offered : null,
            is_array($recovery) ? array_values($recovery) : [],
        ))->render();
    }

    public function store(TokenRequest $request, #[CurrentUser] User $person): RedirectResponse
    {
        if ($person->tokens()->count() >= self::MOST) {
            throw ValidationException::withMessages(['name' => Phrase::of(
                'You have :most tokens; take one away first.',
                ['most' => self::MOST],
            )]);
        }
        $scope = $request->scope()->value;
        $token = $person->createToken(
            $request->string('name')->toString(),
            [$scope],
            Carbon::now()->addDays($request->integer('days')),
        );
        SecurityLog::note('token made', ['token' => (int) $token->accessToken->getKey(), 'scope' => $scope]);

        return redirect()->route('tokens')->with('token', $token->plainTextToken);
    }

    public function destroy(#[CurrentUser] User $person, int $token): RedirectResponse
    {
        $person->tokens()->whereKey($token)->firstOrFail()->delete();
        SecurityLog::note('token taken away', ['token' => $token]);

        return redirect()->route('tokens');
    }
}
