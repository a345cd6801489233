<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Models\IntakeRoot;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Delivery\FolderRefused;

/** A folder of an intake. */
final class FolderRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'root' => ['required', 'integer'],
            'below' => ['nullable', 'string', 'max:1000'],
            'code' => ['nullable', 'string', 'max:80'],
        ];
    }

    public function below(): string
    {
        return $this->string('below')->toString();
    }

    /**
     * The root, if it is one of the production's.
     *
     * @throws FolderRefused
     */
    public function intakeRoot(int $production): IntakeRoot
    {
        return IntakeRoot::query()->where('production_id', $production)->find($this->integer('root'))
            ?? throw FolderRefused::because('chosen', 'is in no intake of this production');
    }
}
