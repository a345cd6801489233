<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

/** What became of the files that were sealed. */
final readonly class Verification
{
    /**
     * @param  int  $same  files that are as they were
     * @param  list<string>  $changed  other bytes than then
     * @param  list<string>  $missing  not there, under no name
     * @param  list<string>  $new  not sealed
     * @param  list<array{string, string}>  $renamed  the same bytes: the path then, and now
     * @param  array<array-key, string>  $unreadable  why, by path
     */
    public function __construct(
        public int $same,
        public array $changed,
        public array $missing,
        public array $new,
        public array $renamed,
        public array $unreadable,
    ) {}

    public function holds(): bool
    {
        return $this->changed === [] && $this->missing === [] && $this->new === [] && $this->renamed === []
            && $this->unreadable === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'holds' => $this->holds(),
            'same' => $this->same,
            'changed' => $this->changed,
            'missing' => $this->missing,
            'new' => $this->new,
            'renamed' => array_map(
                static fn (array $pair): array => ['from' => $pair[0], 'to' => $pair[1]],
                $this->renamed,
            ),
            'unreadable' => (object) $this->unreadable,
        ];
    }
}
