<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Actions\Specifications\NewDeliverable;
use App\Actions\Specifications\StartingChoice;
use App\Actions\Specifications\StartingDocument;
use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use PlainLedger\Core\Measure\FrameRange;

/** A deliverable that somebody begins. */
final class NewDeliverableRequest extends FormRequest
{
    private function production(): Production
    {
        $production = $this->route('production');

        return $production instanceof Production ? $production : abort(404);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $ofProduction = static fn (string $table, string $column, int $id): object => Rule::exists($table, $column)
            ->where('production_id', $id);
        $id = $this->production()->id;

        return [
            'code' => ['required', new DeliverableCode($this->production())],
            'title' => ['nullable', 'string', 'max:160'],
            'specification' => ['nullable', 'integer', $ofProduction('specifications', 'id', $id)],
            'newTitle' => ['nullable', 'string', 'max:160'],
            'owner' => ['nullable', 'integer', $ofProduction('memberships', 'user_id', $id)],
            'due' => ['nullable', 'date'],
            'range' => ['nullable', 'string', 'max:2000'],
            'begin' => ['nullable', 'string', 'max:80'],
            'document' => ['nullable', 'file', 'max:4000'],
            'root' => ['nullable', 'integer'],
            'below' => ['nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'required' => Phrase::of('This is needed.'),
            'due.date' => Phrase::of('This is no date.'),
        ];
    }

    /**
     * What a specification of its own begins with.
     *
     * @return array<string, mixed>
     *
     * @throws \PlainLedger\Core\Text\PlainSentence
     */
    public function document(User $by): array
    {
        $file = $this->file('document');
        if ($file instanceof UploadedFile) {
            return StartingDocument::uploaded($file);
        }
        $choice = StartingChoice::of(
            $this->string('begin')->toString(),
            $this->integer('root'),
            $this->string('below')->toString(),
            $this->string('code')->toString() ?: null,
        );

        return StartingDocument::document($this->production(), $choice, $by);
    }

    /** @throws \PlainLedger\Core\Text\PlainSentence where the range is none */
    public function deliverable(): NewDeliverable
    {
        $range = $this->string('range')->toString();

        return new NewDeliverable(
            $this->string('code')->toString(),
            $this->string('title')->toString(),
            $this->has('owner') && $this->input('owner') !== null ? $this->integer('owner') : null,
            Moment::typed($this->input('due')),
            $range === '' ? '' : (string) FrameRange::parse($range),
            $this->input('specification') === null ? null : $this->integer('specification'),
            $this->string('newTitle')->toString(),
        );
    }
}
