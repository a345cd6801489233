<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** What many deliverables are given together: an owner, a due time, a title, a specification, or a place out of the way. */
final class ManyDeliverablesRequest extends FormRequest
{
    private const MOST = 2000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $production = $this->route('production');
        $id = $production instanceof Production ? $production->id : 0;
        $of = static fn (string $table, string $column): object => Rule::exists($table, $column)
            ->where('production_id', $id);

        return [
            'ids' => ['required', 'array', 'min:1', 'max:'.self::MOST],
            'ids.*' => ['integer'],
            'owner' => ['sometimes', 'nullable', 'integer', $of('memberships', 'user_id')],
            'due' => ['sometimes', 'nullable', 'date'],
            'title' => ['sometimes', 'nullable', 'string', 'max:160'],
            'specification' => ['sometimes', 'integer', $of('specifications', 'id')],
            'away' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.*' => Phrase::of('Choose what is to be changed.'),
            'due.date' => Phrase::of('This is no date.'),
            'owner.*' => Phrase::of('There is no such person here.'),
            'specification.*' => Phrase::of('There is no such specification here.'),
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_values(array_map(intval(...), (array) $this->input('ids')));
    }

    /**
     * @return array{
     *     owner_id?: int|null, due_at?: Carbon|null, title?: string, specification_id?: int, put_away_at?: Carbon|null
     * }
     */
    public function values(): array
    {
        return ($this->has('owner') ? ['owner_id' => $this->input('owner') === null ? null : $this->integer('owner')]
            : [])
            + ($this->has('due') ? ['due_at' => Moment::typed($this->input('due'))] : [])
            + ($this->has('title') ? ['title' => $this->string('title')->toString()] : [])
            + ($this->has('specification') ? ['specification_id' => $this->integer('specification')] : [])
            + ($this->has('away') ? ['put_away_at' => $this->boolean('away') ? Carbon::now() : null] : []);
    }
}
