<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Ledger\CheckDesk;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\JsonDocument;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\PlainSentence;
use PlainLedger\Core\Scene\Readers\AnyScene;

final class SceneController
{
    public function store(Request $request, Deliverable $deliverable, CheckDesk $desk): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $file = $request->file('settings');
        if (! $file instanceof \Illuminate\Http\UploadedFile) {
            throw ValidationException::withMessages(['settings' => 'Drop a settings file here, or choose one.']);
        }
        $name = mb_substr(Text::shown($file->getClientOriginalName()), 0, 200);
        if (! $file->isValid()) {
            $why = in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true)
                ? 'it is far too large; a settings file has at most '.ByteSize::of(JsonDocument::LARGEST).', so this is probably another file.'
                : 'it did not arrive whole; try once more.';
            throw ValidationException::withMessages(['settings' => "{$name}: {$why}"]);
        }
        if ($file->getSize() > JsonDocument::LARGEST) {
            throw ValidationException::withMessages(['settings' => "{$name}: it has ".ByteSize::of((int) $file->getSize()).', and a settings file has at most '.ByteSize::of(JsonDocument::LARGEST).'; this is probably another file.']);
        }
        $content = (string) $file->getContent();
        try {
            (new AnyScene)->read($content, $name);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['settings' => $refused->getMessage()]);
        }
        /** @var User $by */
        $by = $request->user();
        $scene = $deliverable->scenes()->create(['user_id' => $by->id, 'file_name' => $name, 'content' => $content]);
        $desk->checkScene($deliverable, $scene, $by);

        return redirect()->route('scene', $deliverable->id);
    }
}
