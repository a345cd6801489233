<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Actions\Lists\BroughtList;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\Specification;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** A list, timeline or roster of deliverables. */
final class ListRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'specification' => ['required', 'integer', $this->ofProduction()],
            'file' => ['nullable', 'file', 'max:51200'],
            'text' => ['nullable', 'string', 'max:20000000'],
            'cells' => ['nullable', 'string', 'max:40000000'],
            'columns' => ['nullable', 'string', 'max:20000'],
            'name' => ['nullable', 'string', 'max:200'],
            'learners' => ['nullable', 'string', 'max:20000'],
            'code' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'specification.*' => Phrase::of('Choose the specification that new deliverables follow.'),
            'file.max' => Phrase::of('The file is larger than 50 MB; that is no list of deliverables.'),
        ];
    }

    private function ofProduction(): Exists
    {
        return Rule::exists('specifications', 'id')->where('production_id', $this->production()->id);
    }

    private function production(): Production
    {
        $production = $this->route('production');

        return $production instanceof Production ? $production : abort(404);
    }

    public function specification(): Specification
    {
        return Specification::query()->with('latest')->findOrFail($this->integer('specification'));
    }

    /** What was brought, row by row. */
    public function list(): BroughtList
    {
        try {
            return $this->filled('learners') ? $this->roster() : $this->rows();
        } catch (TableRefused $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        } catch (\ValueError $unknown) {
            throw ValidationException::withMessages(['columns' => $unknown->getMessage()]);
        }
    }

    private function roster(): BroughtList
    {
        $handles = preg_split('~[\s,;]+~', $this->string('learners')->toString(), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return BroughtList::roster($handles, $this->string('code')->toString(), $this->production()->code);
    }

    /** @throws TableRefused */
    private function rows(): BroughtList
    {
        $file = $this->file('file');
        $name = $file instanceof UploadedFile ? $file->getClientOriginalName() : $this->string('name')->toString();
        $label = Text::shown(mb_substr($name, 0, 120)) ?: 'The list';
        $columns = $this->columns();
        if ($this->filled('cells')) {
            $cells = json_decode($this->string('cells')->toString(), true, 8);

            return BroughtList::cells(is_array($cells) ? $cells : [], $label, $columns);
        }
        $text = $file instanceof UploadedFile ? (string) $file->getContent() : $this->string('text')->toString();

        return BroughtList::text($text, $label, $columns);
    }

    /** @return list<mixed>|null what each column means, as somebody corrected it */
    private function columns(): ?array
    {
        $given = $this->filled('columns') ? json_decode($this->string('columns')->toString(), true) : null;

        return is_array($given) ? array_values($given) : null;
    }
}
