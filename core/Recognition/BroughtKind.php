<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

/** What a file can be that somebody brings. */
enum BroughtKind: string
{
    case Pictures = 'pictures';
    case Movie = 'movie';
    case Sound = 'sound';
    case Settings = 'settings';
    case DeliverableList = 'list';
    case People = 'people';
    case RenderLog = 'log';
    case Names = 'names';
    case Checksums = 'checksums';
    case DeliveryArchive = 'delivery-archive';
    case SettingsArchive = 'settings-archive';
    case Document = 'document';
    case OfSystem = 'of-system';
    case Unknown = 'unknown';

    /** Whether it is a part of what is delivered, and so checked with its folder. */
    public function isDelivered(): bool
    {
        return in_array($this, [self::Pictures, self::Movie, self::Sound, self::Checksums], true);
    }
}
