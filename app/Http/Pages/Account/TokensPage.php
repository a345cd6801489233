<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Moment;
use App\Http\Pages\RendersPage;
use App\Models\User;
use App\Security\OneTimeCode;
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

    /**
     * @var array{since: string|null, left: int, offered: array{address: string, secret: string}|null,
     *   fresh: list<string>} one-time codes
     */
    public array $codes;

    /**
     * @param  string|null  $offered  a secret of one-time codes, before its first code was told
     * @param  list<string>  $recovery  codes that are shown this once
     */
    public function __construct(User $person, ?string $fresh, string $session, ?string $offered, array $recovery)
    {
        $this->codes = [
            'since' => $person->codes_since === null ? null : Moment::told($person->codes_since),
            'left' => count($person->recovery_codes ?? []),
            'offered' => $offered === null ? null : [
                'address' => (new OneTimeCode($offered))->address($person->email, (string) config('app.name')),
                'secret' => trim(chunk_split($offered, 4, ' ')),
            ],
            'fresh' => $recovery,
        ];
        $tokens = $person->tokens()->orderByDesc('id')->get();
        $this->tokens = array_values(
            $tokens->map(static fn (PersonalAccessToken $t): TokenShown => new TokenShown($t))->all(),
        );
        $this->scopes = array_map(
            static fn (TokenScope $s): array => ['scope' => $s, 'says' => $s->inWords()],
            $person->is_administrator
                ? TokenScope::cases()
                : [TokenScope::Read, TokenScope::Check, TokenScope::Write],
        );
        $this->fresh = $fresh;
        $this->address = url('/api');
        $this->places = PlaceShown::of($person->id, $session);
    }
}
