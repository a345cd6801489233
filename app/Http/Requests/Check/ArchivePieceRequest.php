<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use App\Intake\UploadedArchive;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\Text;

/** A piece of an archive, or the question how much of it has come. */
final class ArchivePieceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'piece' => [$this->isMethod('GET') ? 'nullable' : 'required', 'file', 'max:8000'],
            'name' => ['required', 'string', 'max:200'],
            'size' => ['required', 'integer', 'min:1', 'max:1000000000000000'],
            'modified' => ['required', 'integer'],
            'at' => ['nullable', 'integer', 'min:0'],
            'depth' => ['nullable', 'in:quick,full'],
        ];
    }

    public function name(): string
    {
        return Text::shown($this->string('name')->toString());
    }

    public function archive(Deliverable $deliverable, User $by): UploadedArchive
    {
        $size = $this->integer('size');

        return new UploadedArchive($deliverable, $by, $this->name(), $size, $this->integer('modified'));
    }

    public function piece(): UploadedFile
    {
        /** @var UploadedFile */
        return $this->file('piece');
    }

    public function depth(): ScanDepth
    {
        return ScanDepth::tryFrom($this->string('depth')->toString()) ?? ScanDepth::Quick;
    }
}
