<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A picture that frames are to agree with. */
final class PictureRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'picture' => ['required', 'file', 'max:8000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'picture.max' => Phrase::of('The picture is larger than 8 MB; lay it in the intake, and name it there.'),
        ];
    }

    public function picture(): UploadedFile
    {
        /** @var UploadedFile */
        return $this->file('picture');
    }
}
