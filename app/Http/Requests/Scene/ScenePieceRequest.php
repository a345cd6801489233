<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Text\Text;

/** A piece of a scene of many megabytes. */
final class ScenePieceRequest extends FormRequest
{
    private const LARGEST = 600_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'piece' => ['required', 'file', 'max:8000'],
            'name' => ['required', 'string', 'max:200'],
            'at' => ['required', 'integer', 'min:0', 'max:'.self::LARGEST],
            'last' => ['required', 'in:0,1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'at.max' => Phrase::of(
                'Scenes of more than :of are read by the console program alone.',
                ['of' => ByteSize::of(self::LARGEST)],
            ),
        ];
    }

    public function name(): string
    {
        return Text::shown($this->string('name')->toString());
    }

    public function piece(): UploadedFile
    {
        /** @var UploadedFile */
        return $this->file('piece');
    }

    public function isLast(): bool
    {
        return $this->input('last') === '1';
    }
}
