<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Language\Phrase;
use App\Models\User;
use App\Security\TokenScope;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A token for a program. */
final class TokenRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'days' => ['required', 'integer', 'min:1', 'max:366'],
            'scope' => ['nullable', Rule::enum(TokenScope::class), $this->isTheirs(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Phrase::of('Say what it is for, so that you know it again.'),
            'days.*' => Phrase::of('From 1 to 366 days.'),
        ];
    }

    /** Nobody’s token may do what they may not. */
    private function isTheirs(string $field, mixed $scope, \Closure $fail): void
    {
        $user = $this->user();
        $isAdministrator = $user instanceof User && $user->is_administrator;
        if ($scope === TokenScope::Administer->value && ! $isAdministrator) {
            $fail(Phrase::of('That is for administrators.'));
        }
    }

    public function scope(): TokenScope
    {
        return TokenScope::tryFrom($this->string('scope')->toString()) ?? TokenScope::Check;
    }
}
