<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use Illuminate\Foundation\Http\FormRequest;

/** Whether somebody gets in, and whether they run the installation. */
final class AccountRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['disabled' => ['sometimes', 'boolean'], 'administrator' => ['sometimes', 'boolean']];
    }
}
