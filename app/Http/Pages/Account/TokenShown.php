<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Moment;
use App\Security\TokenScope;
use Laravel\Sanctum\PersonalAccessToken;

/** A token: what it is for, what it may, and until when. */
final readonly class TokenShown
{
    public int $id;

    public string $name;

    public string $scope;

    public ?string $made;

    public ?string $used;

    public ?string $until;

    /** Its time is over. */
    public bool $over;

    public function __construct(PersonalAccessToken $token)
    {
        $this->id = (int) $token->getKey();
        $this->name = $token->name;
        $this->scope = self::scope($token)->inWords();
        $this->made = $token->created_at === null ? null : Moment::day($token->created_at);
        $this->used = $token->last_used_at === null ? null : Moment::told($token->last_used_at);
        $this->until = $token->expires_at === null ? null : Moment::day($token->expires_at);
        $this->over = $token->expires_at?->isPast() ?? false;
    }

    private static function scope(PersonalAccessToken $token): TokenScope
    {
        $held = array_filter(TokenScope::cases(), static fn (TokenScope $s): bool => $token->can($s->value));

        return array_values($held)[count($held) - 1] ?? TokenScope::Read;
    }
}
