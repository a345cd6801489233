<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Models\Message;
use Illuminate\Http\RedirectResponse;

final class MessageController
{
    public function destroy(Message $message): RedirectResponse
    {
        $message->delete();

        return back();
    }
}
