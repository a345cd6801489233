<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderPlanning\MachinePool;

/** Machines that render, and when. */
final class PoolRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'machines' => ['required', 'integer', 'min:1', 'max:10000'],
            'hours' => ['nullable', 'string', 'max:40'],
            'was' => ['nullable', 'array'],
            'was.machines' => ['nullable', 'integer'],
            'was.hours' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'machines.*' => Phrase::of('There are from 1 to 10,000 machines.'),
        ];
    }

    /** @return array{machines: int, hours: string} */
    public function pool(): array
    {
        $pool = ['machines' => $this->integer('machines'), 'hours' => $this->string('hours')->toString()];
        try {
            MachinePool::of($pool['machines'], 0, $pool['hours']);
        } catch (NotUnderstood $refused) {
            throw ValidationException::withMessages(['hours' => $refused->getMessage()]);
        }

        return $pool;
    }

    /** @return array{machines: int, hours: string}|null what stood there when it was begun */
    public function seen(): ?array
    {
        return is_array($this->input('was'))
            ? ['machines' => $this->integer('was.machines', 1), 'hours' => $this->string('was.hours')->toString()]
            : null;
    }
}
