<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Requests\People\WebhookRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\Webhook;
use App\Webhooks\Announce;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** Addresses elsewhere that are called when something happens in a production. */
final class WebhookController
{
    /** A secret that was just made, which is told once. */
    public const FRESH = 'webhook_secret';

    private const MOST = 10;

    public function store(WebhookRequest $request, Production $production): RedirectResponse
    {
        if (Webhook::query()->where('production_id', $production->id)->count() >= self::MOST) {
            throw ValidationException::withMessages(['url' => Phrase::of(
                'At most :most are called.',
                ['most' => self::MOST],
            )]);
        }
        $secret = bin2hex(random_bytes(32));
        Webhook::query()->create([
            'production_id' => $production->id, 'url' => $request->string('url')->toString(), 'secret' => $secret,
            'events' => array_values((array) $request->input('events')),
        ]);

        return back()->with(self::FRESH, $secret)->with('told', Phrase::of('It is called from now on.'));
    }

    public function test(Webhook $webhook): RedirectResponse
    {
        Announce::test($webhook);

        return back()->with('told', Phrase::of('A test is on its way. Whether it arrived stands below it.'));
    }

    public function destroy(Webhook $webhook): RedirectResponse
    {
        $webhook->delete();

        return back()->with('told', Phrase::of(':url is no longer called.', ['url' => $webhook->url]));
    }
}
