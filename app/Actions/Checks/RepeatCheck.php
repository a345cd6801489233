<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\CheckState;
use App\Models\Delivery;
use App\Models\User;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Diagnosis\CauseId;

/** The same scene settings and files as another check, by what is asked now. */
final readonly class RepeatCheck
{
    public function __construct(private OpenCheck $open, private CloseCheck $close) {}

    /**
     * Files are not read again, unless something is asked by now that nobody has looked for, or they were still
     * arriving then.
     */
    public function run(Check $old, User $by): Check
    {
        if ($old->state !== CheckState::Done) {
            return $this->brokenOff($old, $by);
        }
        $delivery = $old->delivery;
        $order = $delivery?->order();
        if ($delivery === null || $order === null || ! self::mustBeRead($delivery, $old)) {
            $check = $this->open->run($old->deliverable, $old->scene, $by);
            $this->close->run($check, $delivery);

            return $check;
        }

        return $this->scanned($this->open->run($old->deliverable, $old->scene, $by, $order));
    }

    /** One that broke off has nothing yet. */
    private function brokenOff(Check $old, User $by): Check
    {
        $scene = $old->deliverable->scenes()->latest('id')->first();
        $check = $this->open->run($old->deliverable, $scene, $by, $old->order);

        return $old->order === null ? $this->close->ofScene($check, $old->deliverable) : $this->scanned($check);
    }

    private function scanned(Check $check): Check
    {
        ScanSlice::dispatch($check->id);

        return $check->refresh();
    }

    private static function mustBeRead(Delivery $delivery, Check $old): bool
    {
        if (self::wasArriving($old)) {
            return true;
        }
        [$then, $now] = [$old->resolved(), $old->deliverable->resolved()];
        $scanned = $delivery->scanned();
        $wanted = PixelRules::sampleOptionsFor($now);
        if ($wanted !== null && (! $scanned->hasSamples() || $wanted !== PixelRules::sampleOptionsFor($then))) {
            return true;
        }

        return $scanned->checksums === null && ChecksumsRule::isAskedBy($now);
    }

    /** Files that were still being written then are others by now. */
    private static function wasArriving(Check $check): bool
    {
        return in_array(CauseId::StillArriving->value, array_column($check->summary['causes'] ?? [], 'id'), true);
    }
}
