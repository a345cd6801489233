<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Report\BlockerSummary;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Text\Text;

/** One deliverable of a tree, and the check of what answers it. */
final readonly class TreeRow
{
    /** @param  string  $folder  of the tree that holds all its files; `""` for the root */
    public function __construct(
        public OwedDelivery $owed,
        public CheckReport $report,
        public int $files,
        public string $folder,
    ) {}

    /** What holds it up, in a few words. */
    public function says(): string
    {
        return BlockerSummary::inWords($this->report);
    }

    /** Frames that are owed and not there. */
    public function missing(): int
    {
        $missing = 0;
        foreach ($this->report->match->parts ?? [] as $part) {
            foreach ($part->passes as $pass) {
                $missing += $pass->expected === null ? 0 : count($pass->expected->minus($pass->present));
            }
        }

        return $missing;
    }

    /** Its first cause, in words; null where there is none. */
    public function cause(): ?string
    {
        return isset($this->report->causes[0]) ? $this->report->causes[0]->says() : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'deliverable' => Text::shown($this->owed->label()),
            'specification' => Text::shown($this->owed->key),
            'verdict' => $this->report->check->verdict->value,
            'says' => $this->says(),
            'folder' => Text::shown($this->folder),
            'files' => $this->files,
            'frames_missing' => $this->missing(),
            'check' => $this->report->toArray(),
        ];
    }
}
