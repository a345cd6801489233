<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Language\Phrase;
use App\Models\Production;
use App\Models\Specification;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use PlainLedger\Core\Course\Gradebook;
use PlainLedger\Core\Course\GradebookColumns;
use PlainLedger\Core\Tabular\TableRefused;

/** A gradebook of another system, and for which assignment; with its columns where somebody chose them. */
final class GradebookRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $production = $this->route('production');

        return [
            'file' => ['required', 'file', 'max:20000'],
            'assignment' => ['required', 'integer', Rule::exists('specifications', 'id')->where(
                'production_id',
                $production instanceof Production ? $production->id : 0,
            )],
            'columns' => ['nullable', 'string', 'max:5000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.*' => Phrase::of('Give the gradebook as a file of at most 20 MB.'),
            'assignment.*' => Phrase::of('Which assignment?'),
        ];
    }

    /** @throws TableRefused */
    public function gradebook(): Gradebook
    {
        return Gradebook::read((string) $this->sent()->get(), $this->name());
    }

    public function name(): string
    {
        return $this->sent()->getClientOriginalName();
    }

    public function assignment(): Specification
    {
        return Specification::query()->with('production')->findOrFail($this->integer('assignment'));
    }

    /** Null where nobody chose any. */
    public function columns(): ?GradebookColumns
    {
        $told = json_decode($this->string('columns')->toString(), true);
        if (! is_array($told)) {
            return null;
        }

        /** @var array<string, mixed> $told */
        return GradebookColumns::fromArray($told);
    }

    private function sent(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : abort(422);
    }
}
