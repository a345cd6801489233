<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Actions\Changes\RequirementEdit;
use PlainLedger\Core\Specification\SetBy;

/** A requirement as it was typed on the specification's page. */
final class RequirementRequest extends TypedRequirementRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return parent::rules() + [
            'part' => ['nullable', 'string', 'max:80'],
            'scope' => ['required', 'in:deliverable,specification,house'],
        ];
    }

    /** @throws \Illuminate\Validation\ValidationException|\PlainLedger\Core\Text\PlainSentence */
    public function edit(): RequirementEdit
    {
        $layer = SetBy::from($this->text('scope'));

        return new RequirementEdit($this->text('id'), $this->text('part'), $layer, $this->written(), $this->seen());
    }
}
