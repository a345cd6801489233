<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Http\Pages\Account\News;
use App\Http\Pages\Account\NoticesPage;
use App\Language\Phrase;
use App\Models\NoticeKind;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** What one was told, and what one wants to be told. */
final class NoticeController
{
    public function index(#[CurrentUser] User $reader): Response
    {
        return (new NoticesPage($reader))->render();
    }

    /** All of it is read. */
    public function read(#[CurrentUser] User $reader): RedirectResponse
    {
        $reader->notices()->whereNull('read_at')->update(['read_at' => now()]);

        return back();
    }

    public function wish(Request $request, #[CurrentUser] User $reader): RedirectResponse
    {
        $wishes = [];
        foreach (NoticeKind::cases() as $kind) {
            $wishes[$kind->value] = [
                'page' => $request->boolean("wishes.{$kind->value}.page"),
                'mail' => $request->boolean("wishes.{$kind->value}.mail"),
            ];
        }
        $reader->forceFill(['wishes' => $wishes])->save();

        return back()->with('told', Phrase::of('Saved.'));
    }

    /** What is new since the page was opened: asked again and again. */
    public function news(Request $request, #[CurrentUser] User $reader): JsonResponse
    {
        return response()->json(new News($reader, max(0, $request->integer('after'))));
    }
}
