<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use Illuminate\Foundation\Http\FormRequest;

/** To whose owners messages are written. */
final class MessagesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'deliverables' => ['nullable', 'array', 'max:2000'],
            'deliverables.*' => ['integer'],
        ];
    }

    /** @return list<int>|null null: all of what does not balance */
    public function deliverables(): ?array
    {
        $given = $this->input('deliverables');

        return is_array($given) ? array_values(array_map(intval(...), $given)) : null;
    }
}
