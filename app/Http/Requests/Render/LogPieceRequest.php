<?php

declare(strict_types=1);

namespace App\Http\Requests\Render;

use App\Actions\Logs\NewLog;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use PlainLedger\Core\Text\Text;

/** A log that is sent, a piece at a time. */
final class LogPieceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'piece' => ['required', 'file', 'max:8000'],
            'log' => ['nullable', 'integer'],
            'name' => ['required', 'string', 'max:255'],
            'size' => ['required', 'integer', 'min:0'],
            'shape' => ['nullable', 'string', 'max:80'],
            'last' => ['required', 'in:0,1'],
        ];
    }

    public function bytes(): string
    {
        /** @var UploadedFile $piece */
        $piece = $this->file('piece');

        return (string) $piece->getContent();
    }

    public function isLast(): bool
    {
        return $this->input('last') === '1';
    }

    public function log(): NewLog
    {
        return new NewLog(Text::shown($this->string('name')->toString()), $this->integer('size'));
    }

    public function shape(): ?string
    {
        $shape = $this->input('shape');

        return is_string($shape) ? $shape : null;
    }
}
