<?php

declare(strict_types=1);

namespace App\Security;

use Laravel\Sanctum\PersonalAccessToken;

/** What a token is for; each of them may do what those before it may. */
enum TokenScope: string
{
    case Read = 'read';
    case Check = 'check';
    case Write = 'write';
    case Administer = 'administer';

    private function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** Whether a token of one person suffices for this. */
    public function isHeldBy(?PersonalAccessToken $token): bool
    {
        foreach (self::cases() as $scope) {
            if ($token !== null && $scope->rank() >= $this->rank() && $token->can($scope->value)) {
                return true;
            }
        }

        return false;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Read => 'read what is asked and how it stands',
            self::Check => 'read, and bring settings to be checked',
            self::Write => 'read, check, and change what is asked and who works on it',
            self::Administer => 'all of that, and run the installation',
        };
    }
}
