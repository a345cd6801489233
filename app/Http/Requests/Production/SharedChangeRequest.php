<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Actions\Changes\WrittenRequirement;
use App\Http\FriendlyMessage;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** One change of many deliverables. */
final class SharedChangeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'deliverables' => ['required', 'array', 'min:1', 'max:2000'],
            'deliverables.*' => ['integer'],
            'id' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'drop' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'deliverables.required' => Phrase::of('Choose the deliverables first.'),
            'id.required' => Phrase::of('Choose what is to be changed.'),
        ];
    }

    /** @return list<Deliverable> those that are named, all of this production */
    public function deliverables(Production $production): array
    {
        /** @var list<int|string> $ids */
        $ids = $this->input('deliverables');
        $found = $production->deliverables()->whereIn('id', $ids)->withAsked()->orderBy('code')->get();
        if ($found->count() !== count(array_unique($ids))) {
            throw ValidationException::withMessages(['deliverables' => Phrase::of(
                'Some of these are not in this production.',
            )]);
        }

        return array_values($found->all());
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    /** What is kept of it; null where it is to be asked no more. */
    public function written(): ?string
    {
        $value = $this->string('value')->toString();
        try {
            return $this->boolean('drop')
                ? null
                : WrittenRequirement::typed($this->id(), $value, $this->string('level')->toString(), null);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }
    }
}
