<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Checking\Entry;

/** An unequal line that is accepted as it is. */
final class WaiverRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:120'],
            'part' => ['required', 'string', 'max:80'],
            'pass' => ['nullable', 'string', 'max:80'],
            'reason' => ['required', 'string', 'min:3', 'max:500'],
            'all' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => Phrase::of('Say why it is accepted: whoever reads it later will ask.'),
            'reason.min' => Phrase::of('Say why it is accepted, in a word or two.'),
        ];
    }

    public function isOf(Entry $entry): bool
    {
        return $entry->id() === $this->input('id')
            && $entry->part === $this->input('part')
            && $entry->pass === $this->input('pass');
    }

    public function reason(): string
    {
        return trim($this->string('reason')->toString());
    }

    /** Whether it holds for all that follow the specification. */
    public function forAll(): bool
    {
        return $this->boolean('all');
    }
}
