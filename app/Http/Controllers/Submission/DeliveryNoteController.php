<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Http\Downloads;
use App\Models\Production;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Processes\SheetProcess;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Submission\DeliveryNote;

/** What of a production is signed off, to be sent along with it. */
final class DeliveryNoteController
{
    public function __invoke(Production $production, string $format): PlainResponse
    {
        $note = new DeliveryNote(
            "{$production->name}: delivery note",
            "{$production->code}, written ".Carbon::now($production->zone())->format('j M Y, H:i T').'.',
            self::lines($production),
        );
        $name = "{$production->code}-delivery-note.{$format}";
        $html = static fn (int $size = 95): string => $note->html($size / 10 .'pt');

        return match ($format) {
            'html' => Downloads::inline($html(), 'text/html; charset=utf-8', $name),
            'pdf' => Downloads::inline(SheetProcess::make($html), 'application/pdf', $name),
            default => Downloads::file($note->csv(), 'text/csv; charset=utf-8', $name),
        };
    }

    /**
     * @return list<array{code: string, title: string, number: int, files: int, bytes: int, signed_at: string,
     *   signed_by: string, accepted: int, fingerprint: string}>
     */
    private static function lines(Production $production): array
    {
        $signed = Submission::query()->select(Submission::SHOWN)->where('state', SubmissionState::Signed)
            ->whereIn('deliverable_id', $production->deliverables()->select('id'))
            ->with(['deliverable', 'person', 'check' => fn ($check) => $check->select('id', 'waived')])->get()
            ->sortBy(static fn (Submission $s): string => $s->deliverable->code, SORT_NATURAL | SORT_FLAG_CASE);

        return array_values($signed->map(static fn (Submission $s): array => [
            'code' => $s->deliverable->code, 'title' => $s->deliverable->title, 'number' => (int) $s->number,
            'files' => (int) $s->file_count, 'bytes' => (int) $s->total_size,
            'signed_at' => (string) $s->signed_at?->utc()->format('Y-m-d H:i').' UTC',
            'signed_by' => (string) $s->person?->name, 'accepted' => (int) $s->check?->waived,
            'fingerprint' => (string) $s->fingerprint,
        ])->all());
    }
}
