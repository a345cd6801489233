<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Changes\RequirementEdit;
use App\Http\Controllers\HouseRequirementController;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;

/** A requirement or starting value as it was typed on the page of the house. */
final class HouseRequirementRequest extends FormRequest
{
    public function authorize(): bool
    {
        $production = $this->route('production');

        return $production instanceof Production && ($this->user()?->can('decide', $production) ?? false);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'why' => ['nullable', 'string', 'max:300'],
            'drop' => ['boolean'],
            'starting' => ['boolean'],
            'seen' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** Where it stands in the layer of the house. */
    public function key(): string
    {
        $id = $this->string('id')->toString();

        return $this->boolean('starting') ? "starting_values.{$id}" : $id;
    }

    /**
     * What is kept of it; null where it is to be said no more.
     *
     * @throws \Illuminate\Validation\ValidationException|\PlainLedger\Core\Text\PlainSentence
     */
    public function written(): ?string
    {
        if ($this->boolean('drop')) {
            return null;
        }
        $id = $this->string('id')->toString();
        $value = $this->string('value')->toString();
        $why = $this->input('why');

        return $this->boolean('starting')
            ? HouseRequirementController::starting($id, $value)
            : RequirementEdit::json($id, $value, $this->string('level')->toString(), is_string($why) ? $why : null);
    }

    public function seen(): ?string
    {
        $seen = $this->input('seen');

        return is_string($seen) ? $seen : null;
    }
}
