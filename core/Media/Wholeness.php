<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Whether all of a file is there and can be believed. */
final readonly class Wholeness
{
    /** As it was kept; where nobody looked, nothing is known. */
    public function __construct(
        public ?bool $complete = null,
        public ?Damage $damage = null,
        public ?string $reason = null,
    ) {}

    public static function whole(): self
    {
        return new self(true, null, null);
    }

    public static function damaged(Damage $damage, string $reason): self
    {
        return new self(false, $damage, $reason);
    }

    /** Its header was read; whether the rest is whole was more than there is time for. */
    public static function unread(string $reason): self
    {
        return new self(null, null, $reason);
    }

    /** Why it is not known whether it is whole; null where that is known, or was not asked. */
    public function unreadReason(): ?string
    {
        return $this->damage === null && $this->complete === null ? $this->reason : null;
    }
}
