<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use App\Models\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** People to invite: a line each, a name, an address, or both; and `#` before what another system calls them. */
final class InvitationRequest extends FormRequest
{
    private const MOST = 200;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'role' => ['required', Rule::enum(Role::class)],
            'people' => ['nullable', 'string', 'max:40000', $this->areWellFormed(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['role.*' => Phrase::of('Which role?')];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->toString());
    }

    /** @return list<array{name: string, email: string, number: string}> one without any where nobody is named */
    public function people(): array
    {
        $people = self::parted($this->string('people')->toString());

        return $people === [] ? [['name' => '', 'email' => '', 'number' => '']] : $people;
    }

    /** @return list<array{name: string, email: string, number: string}> */
    private static function parted(string $text): array
    {
        $people = [];
        foreach (preg_split('~\R~u', $text) ?: [] as $line) {
            $cells = array_values(array_filter(array_map(
                static fn (string $cell): string => trim($cell, " \t\"<>"),
                preg_split('~[,;\t]|(?=<)~', $line) ?: [],
            ), static fn (string $cell): bool => $cell !== ''));
            $addresses = array_values(array_filter($cells, static fn (string $c): bool => str_contains($c, '@')));
            $numbers = array_values(array_filter($cells, static fn (string $c): bool => str_starts_with($c, '#')));
            $names = array_values(array_diff($cells, $addresses, $numbers));
            if ($cells !== []) {
                $people[] = [
                    'name' => mb_substr(implode(' ', $names), 0, 120), 'email' => $addresses[0] ?? '',
                    'number' => mb_substr(ltrim($numbers[0] ?? '', '# '), 0, 120),
                ];
            }
        }

        return $people;
    }

    private function areWellFormed(string $field, mixed $value, \Closure $fail): void
    {
        $people = is_string($value) ? self::parted($value) : [];
        if (count($people) > self::MOST) {
            $fail(Phrase::of('At most :most people at a time.', ['most' => self::MOST]));
        }
        foreach ($people as $each) {
            if ($each['email'] !== '' && filter_var($each['email'], FILTER_VALIDATE_EMAIL) === false) {
                $fail(Phrase::of('“:email” is no address.', ['email' => $each['email']]));

                return;
            }
        }
    }
}
