<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use App\Webhooks\PublicAddress;
use App\Webhooks\WebhookEvent;
use App\Webhooks\WebhookRefused;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An address elsewhere, and what it is told of. */
final class WebhookRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'url' => ['required', 'string', 'max:500', $this->isCalled(...)],
            'events' => ['required', 'array', 'min:1'],
            'events.*' => [Rule::enum(WebhookEvent::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'url.required' => Phrase::of('An address like https://tools.house.example/ledger is needed.'),
            'events.*' => Phrase::of('What is it to be told of?'),
        ];
    }

    private function isCalled(string $field, mixed $url, \Closure $fail): void
    {
        try {
            is_string($url) && PublicAddress::of($url, (bool) config('ledger.webhooks_private'));
        } catch (WebhookRefused $refused) {
            $fail($refused->getMessage());
        }
    }
}
