<?php

declare(strict_types=1);

namespace App\Models;

/** What a link that is used once is for. */
enum InvitationKind: string
{
    /** Running the installation. */
    case Administrator = 'administrator';

    /** A role in a production. */
    case Member = 'member';

    /** A new password of somebody who is known already. */
    case Password = 'password';

    /** Days that it can be used for. */
    public function days(): int
    {
        return $this === self::Member ? 14 : 2;
    }
}
