<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Media\ScanDepth;

/** A folder whose files are to be checked. */
final class CheckFolderRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'root' => ['required', 'integer'],
            'below' => ['nullable', 'string', 'max:1000'],
            'depth' => ['required', 'in:quick,full'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'root.required' => Phrase::of('Choose a folder first.'),
        ];
    }

    public function depth(): ScanDepth
    {
        return ScanDepth::from($this->string('depth')->toString());
    }
}
