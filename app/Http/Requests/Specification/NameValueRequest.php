<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Actions\Changes\WrittenRequirement;
use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** What a piece of names stands for. */
final class NameValueRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'regex:~^[a-z][a-z0-9_]{0,39}$~'],
            'value' => ['nullable', 'string', 'max:120', 'not_regex:~[\x00-\x1F/\\\\]~'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.regex' => Phrase::of('A piece is called by lower-case letters, digits and underscores.'),
            'value.not_regex' => Phrase::of('A value holds no slash and no control character.'),
        ];
    }

    public function key(): string
    {
        return "values.{$this->string('name')}";
    }

    /** Null where it is to stand for nothing more. */
    public function written(): ?string
    {
        $value = trim($this->string('value')->toString());

        return $value === '' ? null : WrittenRequirement::json($value);
    }
}
