<?php

declare(strict_types=1);

namespace App\Models;

use App\Security\RecordKeys;
use Illuminate\Database\Eloquent\Model;
use PlainLedger\Core\Submission\RecordKey;

/**
 * The newest entry of a history, signed: without it, entries that were cut from the end would be missed by nobody.
 *
 * @property int $id
 * @property int $deliverable_id
 * @property int $number
 * @property string $sum
 * @property string $key  base 64
 * @property string $signature  base 64
 */
final class HistoryEnd extends Model
{
    public $timestamps = false;

    protected $fillable = ['deliverable_id', 'number', 'sum', 'key', 'signature'];

    public static function sign(HistoryEntry $entry): void
    {
        $key = RecordKeys::own();
        self::query()->updateOrCreate(['deliverable_id' => $entry->deliverable_id], [
            'number' => $entry->number, 'sum' => $entry->sum, 'key' => base64_encode($key->public),
            'signature' => base64_encode($key->sign(self::signed($entry->deliverable_id, $entry->number, $entry->sum))),
        ]);
    }

    public function holds(): bool
    {
        $key = (string) base64_decode($this->key, true);
        $signature = (string) base64_decode($this->signature, true);

        return RecordKeys::isOurs($key)
            && RecordKey::holds($signature, self::signed($this->deliverable_id, $this->number, $this->sum), $key);
    }

    private static function signed(int $deliverable, int $number, string $sum): string
    {
        return "plain-ledger/history {$deliverable} {$number} {$sum}";
    }
}
