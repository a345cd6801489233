<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Deliverable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a deliverable is called, who owes it, until when, and which specification it follows. */
final class AboutRequest extends FormRequest
{
    private function deliverable(): Deliverable
    {
        $deliverable = $this->route('deliverable');

        return $deliverable instanceof Deliverable ? $deliverable : abort(404);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $own = $this->deliverable();
        $isCopy = $this->isMethod('POST');
        $of = static fn (string $table, string $column): object => Rule::exists($table, $column)
            ->where('production_id', $own->production_id);

        return [
            // of a copy it is another than its model's
            'code' => ['required', new DeliverableCode($own->production, $isCopy ? null : $own)],
            'title' => ['sometimes', 'nullable', 'string', 'max:160'],
            // a copy has the one that its model has
            'specification' => [
                $isCopy ? 'nullable' : 'required', 'integer', $of('specifications', 'id'),
            ],
            'owner' => ['sometimes', 'nullable', 'integer', $of('memberships', 'user_id')],
            'due' => ['sometimes', 'nullable', 'date'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'required' => Phrase::of('This is needed.'),
            'due.date' => Phrase::of('This is no date.'),
        ];
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return [
            'code' => $this->string('code')->toString(),
            'title' => $this->string('title')->toString(),
            'specification_id' => $this->integer('specification'),
            'owner_id' => $this->input('owner') === null ? null : $this->integer('owner'),
            'due_at' => Moment::typed($this->input('due')),
        ];
    }
}
