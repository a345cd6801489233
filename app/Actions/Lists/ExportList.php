<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Database\Eloquent\Collection;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Shotlist\Writers\ShotlistCsv;
use PlainLedger\Core\Shotlist\Writers\TimelineWriter;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;

/** The deliverables of a production, written as a list or as a timeline. */
final readonly class ExportList
{
    public function csv(Production $production): string
    {
        return ShotlistCsv::write($this->deliverables($production)->map($this->line(...))->all());
    }

    /** Those whose length is known. */
    public function timeline(Production $production): string
    {
        $clips = array_filter($this->deliverables($production)->map($this->clip(...))->all());

        return TimelineWriter::write($production->name, array_values($clips));
    }

    /** @return Collection<int, Deliverable> */
    private function deliverables(Production $production): Collection
    {
        return $production->deliverables()->withAsked()->orderBy('code')->get();
    }

    /**
     * @return array{code: string, title: string, range: string, handles: string, camera: string, version: string,
     *   owner: string, due: string, rate: string}
     */
    private function line(Deliverable $deliverable): array
    {
        $specification = $deliverable->draft()->specification;
        $part = $specification->parts[0];
        $required = static fn (string $id): string => $part->find($id)?->required() ?? '';

        return [
            'code' => $deliverable->code,
            'title' => $deliverable->title,
            'range' => $part->single(RequirementId::TIME_RANGE) ?? '',
            'handles' => $part->single(RequirementId::TIME_HANDLES) ?? '',
            'camera' => $required(RequirementId::CAMERA_NAME),
            'version' => $specification->values['version'] ?? '',
            'owner' => $deliverable->owner->handle ?? '',
            'due' => $deliverable->due_at?->setTimezone($deliverable->production->zone())->format('Y-m-d H:i') ?? '',
            'rate' => $required(RequirementId::TIME_RATE),
        ];
    }

    /**
     * @return array{code: string, cut: FrameRange, delivered: FrameRange, rate: FrameRate, folder: string,
     *   pattern: string}|null null where its length is not known
     */
    private function clip(Deliverable $deliverable): ?array
    {
        $specification = $deliverable->draft()->specification;
        $part = $specification->parts[0];
        $delivered = PartLength::expected($part);
        $cut = $part->cutRange();
        $rate = PartLength::rate($part);
        if ($delivered === null || $delivered->isEmpty() || $cut === null || $rate === null) {
            return null;
        }
        $source = $part->single(RequirementId::NAMING_PATTERN);
        $set = ExampleNames::of($specification, $part)?->sets[0];

        return [
            'code' => $deliverable->code,
            'cut' => $cut->span(),
            'delivered' => $delivered->span(),
            'rate' => $rate,
            'folder' => $set['folder'] ?? '.',
            'pattern' => $source === null
                ? $deliverable->code
                : NamePattern::parse($source)->make($specification->pieceValues($part)),
        ];
    }
}
