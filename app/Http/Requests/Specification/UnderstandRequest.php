<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** A value while it is typed. */
final class UnderstandRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:80'],
            'part' => ['nullable', 'string', 'max:80'],
            'value' => ['present', 'nullable', 'string', 'max:4000'],
        ];
    }

    /** Null where no such requirement is known. */
    public function descriptor(): ?Descriptor
    {
        return Catalogue::standard()->find($this->string('id')->toString());
    }

    public function typed(Descriptor $descriptor): mixed
    {
        return RequirementValue::typed($descriptor, $this->string('value')->toString());
    }

    public function part(): string
    {
        return $this->string('part')->toString();
    }
}
