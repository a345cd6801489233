<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A field map of another production or house. */
final class FieldMapRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'map' => ['required', 'file'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'map.*' => Phrase::of('Choose a file with a field map.'),
        ];
    }

    public function name(): string
    {
        return Text::shown($this->uploaded()->getClientOriginalName());
    }

    public function map(): FieldMap
    {
        try {
            return FieldMap::fromDocument(
                JsonDocument::parse((string) $this->uploaded()->getContent(), $this->name(), FieldMap::FORMAT),
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['map' => $refused->getMessage()]);
        }
    }

    private function uploaded(): UploadedFile
    {
        /** @var UploadedFile */
        return $this->file('map');
    }
}
