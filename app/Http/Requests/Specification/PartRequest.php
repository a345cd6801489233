<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Specification\PartsEditor;

/** A part that is added, renamed or taken away. */
final class PartRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'does' => ['required', 'in:add,remove,rename'],
            'name' => ['required', 'string', 'max:60'],
            'to' => ['required_if:does,rename', 'nullable', 'string', 'max:60'],
            'delivers' => ['required_if:does,add', 'nullable', 'in:frames,still,movie,file'],
            'made_from' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Phrase::of('A part needs a name.'),
            'delivers.required_if' => Phrase::of('Say what the part delivers.'),
        ];
    }

    /** The specification's document with that change. */
    public function changed(PartsEditor $parts): PartsEditor
    {
        $name = $this->string('name')->toString();
        $from = $this->input('made_from');

        return match ($this->input('does')) {
            'add' => $parts->with($name, $this->string('delivers')->toString(), is_string($from) ? $from : null),
            'remove' => $parts->without($name),
            default => $parts->renamed($name, $this->string('to')->toString()),
        };
    }

    /** @return array{string, string}|null its name before and after, where that is all */
    public function names(): ?array
    {
        return $this->input('does') === 'rename'
            ? [$this->string('name')->toString(), $this->string('to')->toString()]
            : null;
    }
}
