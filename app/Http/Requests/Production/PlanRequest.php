<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\Production;
use App\Rendering\RenderWork;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;

/** Another count of machines or other hours, looked at and not kept. */
final class PlanRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'machines' => ['required', 'integer', 'min:1', 'max:10000'],
            'hours' => ['nullable', 'string', 'max:40'],
            'deliverable' => ['nullable', 'integer'],
            'times' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'machines.*' => Phrase::of('There are from 1 to 10,000 machines.'),
        ];
    }

    public function pool(Production $production): MachinePool
    {
        return RenderWork::pool($production, $this->integer('machines'), $this->string('hours')->toString());
    }

    /** The one it is about, with the times that were typed; null: all of the production. */
    public function deliverable(Production $production): ?Deliverable
    {
        if (! $this->filled('deliverable')) {
            return null;
        }
        $deliverable = $production->deliverables()->findOrFail($this->integer('deliverable'))->loadForPage();
        if ($this->filled('times')) {
            $deliverable->frame_times = $this->string('times')->toString();
            FrameTimes::parse($deliverable->frame_times);
        }

        return $deliverable;
    }
}
