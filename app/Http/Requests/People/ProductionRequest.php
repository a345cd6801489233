<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Actions\People\MakeProduction;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PlainLedger\Core\Specification\Preset;

/** What a production is called, and what it is. */
final class ProductionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:160'],
            'code' => [
                'required', 'string', 'max:40', 'regex:~^(?=.*[A-Za-z0-9])[A-Za-z0-9_-]+$~', $this->refuseTaken(...),
            ],
            'kind' => ['required', Rule::in(MakeProduction::KINDS)],
            'rate' => ['nullable', 'string', 'max:40'],
            'preset' => ['nullable', 'string', Rule::in(array_column(Preset::shipped(), 'word'))],
            'time_zone' => ['nullable', 'string', 'timezone:all_with_bc'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => Phrase::of('What is it called?'),
            'code.regex' => Phrase::of('A code has letters, digits, dashes and underscores.'),
            'code.required' => Phrase::of('A short code is needed, like TC.'),
            'kind.*' => Phrase::of('What is it?'),
            'preset.*' => Phrase::of('There is no such preset.'),
            'time_zone.*' => Phrase::of('There is no such time zone.'),
        ];
    }

    private function refuseTaken(string $field, mixed $code, \Closure $fail): void
    {
        $own = $this->route('production');
        $there = is_string($code) ? Production::byCode($code) : null;
        if ($there !== null && ! ($own instanceof Production && $own->is($there))) {
            $fail($there->trashed() ? Phrase::of(
                'A production that was deleted still has that code. An administrator can bring it back, or '
                    .'choose another code.',
            ) : Phrase::of('Another production has that code; small and large letters make no difference.'));
        }
    }
}
