<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Calculator\Calculation;
use PlainLedger\Core\Calculator\Inputs;

/** A sum that is to be worked out. */
final class SumRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'word' => ['required', 'string', 'max:40'],
            'given' => ['present', 'array', 'max:20'],
            'given.*' => ['nullable', 'string', 'max:100000'],
        ];
    }

    public function inputs(Calculation $sum): Inputs
    {
        $texts = [];
        foreach ($sum->fields() as $field) {
            $given = $this->input("given.{$field->name}");
            $texts[$field->name] = is_string($given) ? $given : '';
        }

        return new Inputs($texts);
    }
}
