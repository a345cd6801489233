<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use Illuminate\Foundation\Http\FormRequest;

/** Two revisions to compare. */
final class RevisionsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['nullable', 'integer'],
            'to' => ['nullable', 'integer'],
        ];
    }

    public function from(): ?int
    {
        return $this->filled('from') ? $this->integer('from') : null;
    }

    public function to(): ?int
    {
        return $this->filled('to') ? $this->integer('to') : null;
    }
}
