<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Scene\FieldNames;

/** Settings as they were typed in, for one part of several. */
final class TypedSettingsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'typed' => ['present', 'array', 'max:300'],
            'typed.*' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> by field */
    public function typed(): array
    {
        $typed = [];
        foreach ((array) $this->input('typed') as $field => $value) {
            if (FieldNames::isField((string) $field)) {
                $typed[(string) $field] = trim(is_string($value) ? $value : '');
            }
        }

        return $typed;
    }
}
