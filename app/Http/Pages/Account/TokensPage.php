<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;
use App\Models\User;
use App\Security\TokenScope;
use Laravel\Sanctum\PersonalAccessToken;

/** Tokens for programs, which act for somebody. */
final readonly class TokensPage
{
    use RendersPage;

    /** @var list<TokenShown> */
    public array $tokens;

    /** @var list<array{scope: TokenScope, says: string}> */
    public array $scopes;

    /** It is shown once; only its hash is kept. */
    public ?string $fresh;

    public string $address;

    /** @var list<PlaceShown> where one is signed in */
    public array $places;

    public function __construct(User $person, ?string $fresh, string $session)
    {
        $tokens = $person->tokens()->orderByDesc('id')->get();
        $this->tokens = array_values(
            $tokens->map(static fn (PersonalAccessToken $t): TokenShown => new TokenShown($t))->all(),
        );
        $this->scopes = array_map(
            static fn (TokenScope $s): array => ['scope' => $s, 'says' => $s->inWords()],
            [TokenScope::Read, TokenScope::Check],
        );
        $this->fresh = $fresh;
        $this->address = url('/api');
        $this->places = PlaceShown::of($person->id, $session);
    }
}
