<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use App\Intake\UploadedScenes;
use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\Text;

/** Settings of a scene, as a file or as text. */
final class SceneRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pasted' => ['nullable', 'string', 'max:1000000'],
            'name' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array{string, string} name and content */
    public function brought(): array
    {
        $file = $this->file('settings');
        if ($file instanceof UploadedFile) {
            return [UploadedScenes::name($file), UploadedScenes::content($file)];
        }
        $pasted = $this->input('pasted');
        if (! is_string($pasted) || trim($pasted) === '') {
            throw ValidationException::withMessages(
                ['settings' => Phrase::of('Drop a settings file here, choose one, or paste the settings as text.')],
            );
        }

        return [Text::shown($this->string('name')->toString() ?: 'pasted'), $pasted];
    }
}
