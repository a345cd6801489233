<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Moment;
use App\Models\Check;
use App\Models\Deliverable;
use PlainLedger\Core\Checking\Verdict;

/** One of the checks that were made of a deliverable. */
final readonly class PastCheck
{
    public int $id;

    public ?Verdict $verdict;

    public bool $waived;

    public ?string $holdsUp;

    public string $made;

    public int $revision;

    /** @var 'files'|'scene'|'scene and files' */
    public string $of;

    public ?string $by;

    private function __construct(Check $check)
    {
        $this->id = $check->id;
        $this->verdict = $check->verdict;
        $this->waived = $check->waived > 0;
        $this->holdsUp = $check->holds_up;
        $this->made = Moment::told($check->updated_at);
        $this->revision = $check->revision->number;
        $this->of = match (true) {
            $check->scene_id === null => 'files',
            $check->delivery_id === null => 'scene',
            default => 'scene and files',
        };
        $this->by = $check->person?->name;
    }

    public static function of(Check $check): self
    {
        return new self($check);
    }

    /** @return list<self> the newest first */
    public static function all(Deliverable $deliverable): array
    {
        $checks = $deliverable->checks()->done()->with('revision', 'person')->latest('id')->limit(30)->get([
            'id', 'deliverable_id', 'specification_revision_id', 'scene_id', 'delivery_id', 'user_id', 'state',
            'verdict', 'holds_up', 'waived', 'updated_at',
        ]);

        return array_values($checks->map(static fn (Check $c): self => new self($c))->all());
    }
}
