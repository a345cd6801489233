<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Text\PlainSentence;

/** A shape of logs: a name, and patterns for its lines. */
final class LogShapeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'was' => ['nullable', 'string', 'max:80'],
            'drop' => ['boolean'],
            'example' => ['nullable', 'string', 'max:500'],
            'patterns' => ['array', 'max:20'],
            'patterns.*.event' => ['required', 'string', 'max:20'],
            'patterns.*.pattern' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Phrase::of('Give the shape a name.'),
        ];
    }

    /** @return array{string, string} its name, and what it was called before */
    public function names(): array
    {
        $name = $this->string('name')->toString();
        $was = $this->input('was');

        return [$name, is_string($was) ? $was : $name];
    }

    /**
     * @return array{name: string, patterns: list<array{event: string, pattern: string}>, example: string}|null null:
     *   it is dropped
     */
    public function shape(): ?array
    {
        if ($this->boolean('drop')) {
            return null;
        }
        $patterns = [];
        foreach (array_values((array) $this->input('patterns', [])) as $line) {
            $pattern = is_array($line) ? trim((string) ($line['pattern'] ?? '')) : '';
            if (is_array($line) && $pattern !== '') {
                $patterns[] = ['event' => (string) $line['event'], 'pattern' => $pattern];
            }
        }
        $name = $this->string('name')->toString();
        try {
            $shape = LogShape::of($name, $patterns, $this->string('example')->toString());

            return ['name' => $name, 'patterns' => $shape->toArray(), 'example' => $shape->example];
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['shape' => $refused->getMessage()]);
        }
    }
}
