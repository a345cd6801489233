<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Changes\RequirementEdit;
use App\Models\Deliverable;
use Illuminate\Foundation\Http\FormRequest;

/** A requirement as it was typed on the specification's page. */
final class RequirementRequest extends FormRequest
{
    public function authorize(): bool
    {
        $deliverable = $this->route('deliverable');

        return $deliverable instanceof Deliverable && ($this->user()?->can('specify', $deliverable) ?? false);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:80'],
            'part' => ['nullable', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'why' => ['nullable', 'string', 'max:300'],
            'scope' => ['required', 'in:deliverable,specification,house'],
            'drop' => ['boolean'],
            'seen' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** @throws \Illuminate\Validation\ValidationException|\PlainLedger\Core\Text\PlainSentence */
    public function edit(): RequirementEdit
    {
        $id = $this->string('id')->toString();
        $drop = $this->boolean('drop');
        $why = $this->input('why');
        $seen = $this->input('seen');
        $value = $this->string('value')->toString();
        $level = $this->string('level')->toString();

        return new RequirementEdit(
            $id,
            $this->string('part')->toString(),
            $this->string('scope')->toString(),
            $drop,
            $drop ? null : RequirementEdit::json($id, $value, $level, is_string($why) ? $why : null),
            is_string($seen) ? $seen : null,
        );
    }
}
