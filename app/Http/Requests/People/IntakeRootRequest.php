<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use App\Models\Production;
use App\Models\Rules\RootPlace;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** A folder below the intake, in which files of a production lie. */
final class IntakeRootRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'label' => ['required', 'string', 'max:80'],
            'path' => ['required', 'string', 'max:400', 'regex:~^[^\x00-\x1F]+$~', $this->refuseElsewhere(...)],
        ];
    }

    /** What lies in the intake and is no production's is for administrators to give away. */
    private function refuseElsewhere(string $field, mixed $path, \Closure $fail): void
    {
        $production = $this->route('production');
        $user = $this->user();
        if (! is_string($path) || ! $production instanceof Production || ! $user instanceof User) {
            return;
        }
        foreach ($production->intakeRoots()->get() as $root) {
            if (str_starts_with(RootPlace::base($path).'/', RootPlace::base($root->path).'/')) {
                return;
            }
        }
        $own = $production->intakeRoots()->orderBy('id')->value('path');
        if (! $user->is_administrator) {
            $within = is_string($own) ? ' “'.RootPlace::base($own).'/”' : ' this production’s own folder';
            $fail(Phrase::of(
                'It has to lie below:within. Elsewhere in the intake an administrator may put it.',
                ['within' => $within],
            ));
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['label.*' => Phrase::of(
            'What is it called?',
        ), 'path.*' => Phrase::of('A path below the intake is needed.')];
    }
}
