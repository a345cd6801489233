<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Actions\Watches\WatchLook;
use App\Models\Deliverable;
use App\Models\FolderWatch;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Delivery\ArrivalForecast;
use PlainLedger\Core\Delivery\DeliveryPlace;
use PlainLedger\Core\Matching\ExpectedFiles;
use PlainLedger\Core\Text\PlainSentence;

/** A folder that a render fills, as far as it is. */
final readonly class WatchedFolder
{
    /** Seconds without a look after which it is begun again: whoever did it was ended. */
    private const LOST = 900;

    public string $place;

    /** Pictures that are there. */
    public int $pictures;

    public int $others;

    /** @var int|null pictures that are owed; null where that is open */
    public ?int $expected;

    /** Files that were written to within the last seconds. */
    public int $arriving;

    /** @var string|null pictures a minute, with one decimal; null while that cannot be told */
    public ?string $perMinute;

    /** @var string|null when the last of them can be expected, by the pace so far */
    public ?string $readyAt;

    /** Seconds for which nothing has changed. */
    public int $still;

    /** Seconds without a change after which it is checked by itself. */
    public int $patience;

    /** @var string|null why it is not followed any more */
    public ?string $ended;

    private function __construct(FolderWatch $watch)
    {
        $pulses = $watch->pulses();
        $last = $pulses[count($pulses) - 1] ?? null;
        $forecast = new ArrivalForecast($pulses);
        $expected = self::expected($watch->deliverable);
        $ready = $expected === null ? null : $forecast->readyAt($expected);
        $this->place = trim("{$watch->intakeRoot->label}/{$watch->folder}", '/');
        $this->pictures = $last->pictures ?? 0;
        $this->others = $last->others ?? 0;
        $this->arriving = $last->arriving ?? 0;
        $this->expected = $expected;
        $this->perMinute = $forecast->perMinute()?->toScale(1, RoundingMode::HALF_UP)->__toString();
        $this->readyAt = $ready === null ? null : date('j M, H:i', $ready);
        $this->still = $watch->moved_at === null ? 0 : max(0, time() - $watch->moved_at->getTimestamp());
        $this->patience = $last === null ? 0 : WatchLook::patience($last);
        $this->ended = $watch->ended;
    }

    public static function of(Deliverable $deliverable): ?self
    {
        $watch = FolderWatch::query()->with('intakeRoot')->where('deliverable_id', $deliverable->id)->first();
        if ($watch === null) {
            return null;
        }
        $since = ($watch->looked_at ?? $watch->created_at)->getTimestamp();
        if ($watch->ended === null && time() - $since > self::LOST) {
            $watch->update(['looked_at' => now()]);
            WatchLook::begin($watch);
        }

        return new self($watch->setRelation('deliverable', $deliverable));
    }

    private static function expected(Deliverable $deliverable): ?int
    {
        try {
            $all = ExpectedFiles::all($deliverable->resolved(), null, new DeliveryPlace);
        } catch (PlainSentence) {
            return null;
        }
        $count = 0;
        foreach ($all as $files) {
            if ($files->expected === null) {
                return null;
            }
            $count += count($files->expected);
        }

        return $count === 0 ? null : $count;
    }
}
