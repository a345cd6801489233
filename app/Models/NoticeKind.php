<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody can be told of. */
enum NoticeKind: string
{
    case Checked = 'checked';
    case HandedIn = 'handed-in';
    case AskedOtherwise = 'asked-otherwise';
    case Accepted = 'accepted';
    case SignedOff = 'signed-off';
    case Due = 'due';
    case Message = 'message';

    public function inWords(): string
    {
        return match ($this) {
            self::Checked => 'a check that I began has ended',
            self::HandedIn => 'somebody has brought something in where I decide',
            self::AskedOtherwise => 'something else is asked of what I owe',
            self::Accepted => 'a line of what I owe is accepted as it is',
            self::SignedOff => 'what I owe is signed off, or a sign-off of it taken back',
            self::Due => 'something I owe is due within a day, and does not balance',
            self::Message => 'somebody has written to me',
        };
    }

    /** Whether it is mailed where nothing else is wished. */
    public function isMailed(): bool
    {
        return $this === self::Due || $this === self::Message;
    }
}
