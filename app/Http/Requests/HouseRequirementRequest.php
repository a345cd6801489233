<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Changes\WrittenRequirement;
use App\Models\Production;

/** A requirement or starting value as it was typed on the page of the house. */
final class HouseRequirementRequest extends TypedRequirementRequest
{
    public function authorize(): bool
    {
        $production = $this->route('production');

        return $production instanceof Production && ($this->user()?->can('decide', $production) ?? false);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return parent::rules() + ['starting' => ['boolean']];
    }

    /** Where it stands in the layer of the house. */
    public function key(): string
    {
        return $this->boolean('starting') ? "starting_values.{$this->text('id')}" : $this->text('id');
    }

    public function written(): ?string
    {
        return $this->boolean('starting') && ! $this->boolean('drop')
            ? WrittenRequirement::startingValues($this->text('id'), $this->text('value'))
            : parent::written();
    }
}
