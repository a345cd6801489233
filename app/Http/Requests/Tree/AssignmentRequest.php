<?php

declare(strict_types=1);

namespace App\Http\Requests\Tree;

use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whose something of a delivered tree is. */
final class AssignmentRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        /** @var Production $production */
        $production = $this->route('production');

        return [
            'place' => ['required', 'string', 'max:4000'],
            'deliverable' => [
                'nullable', 'integer', Rule::exists('deliverables', 'id')->where('production_id', $production->id),
            ],
        ];
    }

    /** Folder and pattern. */
    public function place(): string
    {
        return $this->string('place')->toString();
    }

    public function deliverable(): ?int
    {
        return $this->input('deliverable') === null ? null : $this->integer('deliverable');
    }
}
