<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\FriendlyMessage;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Text\PlainSentence;

/** How a typed value is understood, and what would follow from it, before it is kept. */
final readonly class Understanding
{
    /**
     * @param  list<ImpliedPart>  $parts
     */
    private function __construct(
        public ?string $says,
        public ?string $sentence,
        public ?string $fault,
        /** @var list<ImpliedPart> */
        public array $parts,
    ) {}

    /** @param  list<ImpliedPart>  $parts */
    public static function of(Requirement $requirement, array $parts = []): self
    {
        return new self($requirement->typed(), $requirement->sentence(), null, $parts);
    }

    public static function refused(PlainSentence $why): self
    {
        return new self(null, null, FriendlyMessage::said($why), []);
    }

    public static function unknown(): self
    {
        return new self(null, null, 'This requirement is not known here.', []);
    }
}
