<?php

declare(strict_types=1);

namespace App\Http\Requests\Render;

use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderPlanning\FrameTimes;

/** What a frame takes, in time and on disk. */
final class RenderRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'times' => ['nullable', 'string', 'max:2000', $this->isUnderstood(FrameTimes::parse(...))],
            'size' => ['nullable', 'string', 'max:40', $this->isUnderstood(ByteSize::parse(...))],
        ];
    }

    /**
     * @param  \Closure(string): mixed  $parse
     * @return \Closure(string, mixed, \Closure(string): mixed): void
     */
    private function isUnderstood(\Closure $parse): \Closure
    {
        return static function (string $field, mixed $value, \Closure $fail) use ($parse): void {
            try {
                $parse((string) (is_string($value) ? $value : ''));
            } catch (NotUnderstood $refused) {
                $fail($refused->getMessage());
            }
        };
    }
}
