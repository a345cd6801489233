<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Notice;
use App\Models\NoticeKind;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/** Tells people of something, in the page and by mail, as each wishes. Nobody is told what they did themselves. */
final readonly class Tell
{
    /** @param  iterable<User|null>  $whom */
    public static function all(iterable $whom, NoticeKind $kind, Production $in, string $says, string $url): void
    {
        $told = [];
        foreach ($whom as $user) {
            if ($user !== null && ! isset($told[$user->id]) && $user->disabled_at === null) {
                $told[$user->id] = true;
                self::one($user, $kind, $in, $says, $url);
            }
        }
    }

    /** Whether mail leaves this installation. */
    public static function mails(): bool
    {
        return ! in_array(config('mail.default'), [null, '', 'log', 'array'], true);
    }

    private static function one(User $user, NoticeKind $kind, Production $in, string $says, string $url): void
    {
        $says = Str::limit($says, 299, '…');
        if ($user->wishes($kind, 'page')) {
            // what was not read yet is not said twice
            Notice::query()->updateOrCreate(
                ['user_id' => $user->id, 'kind' => $kind, 'url' => $url, 'read_at' => null],
                ['production_id' => $in->id, 'says' => $says],
            )->touch();
        }
        if ($user->wishes($kind, 'mail') && self::mails()) {
            Mail::to($user->email, $user->name)->queue(new NoticeMail($in->name, $says, url($url)));
        }
    }
}
