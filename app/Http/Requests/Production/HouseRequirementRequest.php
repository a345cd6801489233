<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Actions\Changes\WrittenRequirement;
use App\Http\Requests\Specification\TypedRequirementRequest;

/** A requirement or starting value as it was typed on the page of the house. */
final class HouseRequirementRequest extends TypedRequirementRequest
{
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
