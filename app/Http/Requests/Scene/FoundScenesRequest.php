<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** Files of settings of many scenes. */
final class FoundScenesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'files' => ['required', 'array', 'max:500'],
            'files.*' => ['file'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'files.required' => Phrase::of('Drop some files first.'),
            'files.max' => Phrase::of('At most 500 files at once; pack more of them as a zip.'),
        ];
    }

    /** @return list<UploadedFile> */
    public function files(): array
    {
        /** @var list<UploadedFile> $files */
        $files = $this->file('files');
        // the server takes so many files and passes over the others without a word
        $most = (int) ini_get('max_file_uploads');
        if ($most > 0 && count($files) >= $most) {
            throw ValidationException::withMessages([
                'files' => Phrase::of(
                    'These are :count files or more, and the server takes fewer at once. Bring them in two '
                        .'goes, or pack them as a zip.',
                    ['count' => number_format($most)],
                ),
            ]);
        }

        return $files;
    }
}
