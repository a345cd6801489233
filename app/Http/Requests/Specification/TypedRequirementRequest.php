<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Actions\Changes\WrittenRequirement;
use Illuminate\Foundation\Http\FormRequest;

/** A requirement as it was typed, wherever. */
abstract class TypedRequirementRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'why' => ['nullable', 'string', 'max:300'],
            'drop' => ['boolean'],
            'seen' => ['nullable', 'string', 'max:20'],
        ];
    }

    /**
     * What is kept of it; null where it is to be asked no more.
     *
     * @throws \Illuminate\Validation\ValidationException|\PlainLedger\Core\Text\PlainSentence
     */
    public function written(): ?string
    {
        if ($this->boolean('drop')) {
            return null;
        }
        [$id, $value] = [$this->text('id'), $this->text('value')];

        return WrittenRequirement::typed($id, $value, $this->text('level'), $this->given('why'));
    }

    /** The token of what stood there when it was begun; null where that does not matter. */
    public function seen(): ?string
    {
        return $this->given('seen');
    }

    protected function text(string $field): string
    {
        return $this->string($field)->toString();
    }

    private function given(string $field): ?string
    {
        $value = $this->input($field);

        return is_string($value) ? $value : null;
    }
}
