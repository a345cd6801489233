<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Json\JsonDocument;

/** Some scenes of many, each with the deliverable it is of. */
final class ManyScenesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'scenes' => ['required', 'array', 'max:25'],
            'scenes.*.deliverable' => ['required', 'integer'],
            'scenes.*.label' => ['required', 'string', 'max:300'],
            'scenes.*.content' => ['required', 'string', 'max:'.JsonDocument::LARGEST],
        ];
    }

    /** @return list<array{deliverable: int|string, label: string, content: string}> */
    public function scenes(): array
    {
        /** @var array<array{deliverable: int|string, label: string, content: string}> $scenes */
        $scenes = $this->input('scenes');

        return array_values($scenes);
    }
}
