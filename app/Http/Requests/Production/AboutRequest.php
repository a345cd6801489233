<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Models\Deliverable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
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
        $production = $this->deliverable()->production_id;
        $of = static fn (string $table, string $column): object => Rule::exists($table, $column)
            ->where('production_id', $production);

        return [
            'code' => [
                'required', 'string', 'max:80', 'regex:~^[A-Za-z0-9][A-Za-z0-9_.-]*$~', $this->refuseTaken(...),
            ],
            'title' => ['sometimes', 'nullable', 'string', 'max:160'],
            // a copy has the one that its model has
            'specification' => [
                $this->isMethod('POST') ? 'nullable' : 'required', 'integer', $of('specifications', 'id'),
            ],
            'owner' => ['sometimes', 'nullable', 'integer', $of('memberships', 'user_id')],
            'due' => ['sometimes', 'nullable', 'date'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.regex' => 'A code has letters, digits, dots, dashes and underscores, and begins with a letter '
                .'or a digit.',
            'required' => 'This is needed.',
            'due.date' => 'This is no date.',
        ];
    }

    /** Of a copy all but its own; else all but this one. */
    private function refuseTaken(string $field, mixed $code, \Closure $fail): void
    {
        $own = $this->deliverable();
        $there = is_string($code)
            ? $own->production->everything()->whereRaw('lower(code) = ?', [strtolower($code)])->first()
            : null;
        if ($there !== null && ($this->isMethod('POST') || ! $there->is($own))) {
            $fail('This production has a deliverable of that code already'
                .($there->put_away_at === null ? '.' : '; it was put away.'));
        }
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        $due = $this->input('due');

        return [
            'code' => $this->string('code')->toString(),
            'title' => $this->string('title')->toString(),
            'specification_id' => $this->integer('specification'),
            'owner_id' => $this->input('owner') === null ? null : $this->integer('owner'),
            'due_at' => is_string($due) ? Carbon::parse($due) : null,
        ];
    }
}
