<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Models\Check;
use App\Models\CheckState;
use App\Queue\Workers;

/** How far a check is that is under way. */
final readonly class Progress
{
    /** After so many seconds without a step, no end is foretold any more. */
    private const STILL = 15;

    public int $id;

    public CheckState $state;

    public int $done;

    public ?int $all;

    public string $at;

    /** @var int|null seconds, as far as the pace so far tells */
    public ?int $left;

    /** @var int|null seconds for which nothing has moved; null while it moves */
    public ?int $still;

    /** Nobody works on what is queued. */
    public bool $alone;

    public function __construct(Check $check)
    {
        $progress = ($check->progress ?? []) + [
            'done' => 0,
            'all' => null,
            'at' => '',
            'began' => time(),
            'moved' => time(),
        ];
        $spent = time() - $progress['began'];
        $still = time() - $progress['moved'];
        $tells = $progress['all'] !== null && $progress['done'] > 0 && $spent >= 2 && $still < self::STILL;
        $this->id = $check->id;
        $this->state = $check->state;
        $this->done = $progress['done'];
        $this->all = $progress['all'];
        $this->at = $progress['at'];
        $this->left = $tells ? (int) ceil($spent * ($progress['all'] - $progress['done']) / $progress['done']) : null;
        $this->still = $still < self::STILL ? null : $still;
        $this->alone = Workers::areMissing();
    }
}
