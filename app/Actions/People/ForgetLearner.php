<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Intake\UploadedArchive;
use App\Language\Phrase;
use App\Models\Act;
use App\Models\Deliverable;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Message;
use App\Models\Notice;
use App\Models\PracticeTry;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Security\SecurityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Deletes all that a production keeps of one person, and the account where it is in no other. What a team answers for
 * stays with the others. Files in the intake are not the ledger's, and stay.
 */
final readonly class ForgetLearner
{
    private const SOMEBODY = 'somebody who was deleted';

    public function __construct(private GiveRole $giveRole) {}

    /** @throws PeopleRefused for somebody who decides, and where a sign-off stands */
    public function run(Membership $membership): void
    {
        $user = $membership->user;
        if ($membership->role->decides()) {
            throw PeopleRefused::because(Phrase::of('Only what learners and artists have here can be deleted.'));
        }
        $owed = (new LearnerData($membership))->owed()->load('team');
        $alone = $owed->filter(static fn (Deliverable $d): bool => $d->owner_id === $user->id && $d->team->isEmpty());
        $signed = Submission::query()->whereIn('deliverable_id', $alone->modelKeys())
            ->where('state', SubmissionState::Signed)->exists();
        if ($signed) {
            throw PeopleRefused::because(Phrase::of('A sign-off of theirs stands. Withdraw it first.'));
        }
        $folders = DB::transaction(function () use ($membership, $owed, $alone): array {
            foreach ($owed as $deliverable) {
                $alone->contains($deliverable) ? $deliverable->delete() : self::leave($deliverable, $membership);
            }
            $folders = self::practice($membership);
            $this->giveRole->takeOff($membership->production, $membership->user);

            return $folders;
        });
        array_map(Storage::deleteDirectory(...), $folders);
        array_map(UploadedArchive::forget(...), $alone->modelKeys());
        if ($user->memberships()->doesntExist() && ! $user->is_administrator) {
            $user->tokens()->delete();
            $user->delete();
        }
        self::words($membership);
        SecurityLog::note('person forgotten', ['account' => $user->id, 'production' => $membership->production_id]);
    }

    /** What others answer for too becomes theirs. */
    private static function leave(Deliverable $deliverable, Membership $membership): void
    {
        $others = array_values(array_diff($deliverable->team->modelKeys(), [$membership->user_id]));
        if ($deliverable->owner_id === $membership->user_id) {
            $deliverable->update(['owner_id' => $others[0] ?? null]);
            $others = array_slice($others, 1);
        }
        $deliverable->team()->sync($others);
    }

    /** @return list<string> folders of the storage to be removed */
    private static function practice(Membership $membership): array
    {
        $tries = PracticeTry::query()->where('user_id', $membership->user_id)
            ->whereHas('exercise', static fn ($q) => $q->where('production_id', $membership->production_id))->get();
        PracticeTry::query()->whereKey($tries->modelKeys())->delete();

        return array_values($tries->map(static fn (PracticeTry $t): string => $t->folder())->all());
    }

    private static function words(Membership $membership): void
    {
        $inIt = ['production_id' => $membership->production_id];
        Message::query()->where($inIt)->where('to_id', $membership->user_id)->delete();
        Notice::query()->where($inIt)->where('user_id', $membership->user_id)->delete();
        // what they were invited by tells their name and address
        Invitation::query()->where($inIt)->where('email', mb_strtolower($membership->user->email))->delete();
        $name = $membership->user->name;
        // what others were told of them; a short name may stand in another word
        $named = '/(?<![\p{L}\p{N}])'.preg_quote($name, '/').'(?![\p{L}\p{N}])/u';
        foreach (Notice::query()->where($inIt)->whereRaw('instr(says, ?) > 0', [$name])->lazyById(200) as $notice) {
            if (preg_match($named, $notice->says) === 1) {
                $notice->delete();
            }
        }
        $acts = Act::query()->where(static fn ($any) => $any->where($inIt)->orWhereNull('production_id'))
            ->where(static fn ($any) => $any->where('who', $name)->orWhereRaw('instr(what, ?) > 0', [$name]));
        foreach ($acts->lazyById(200) as $act) {
            Act::query()->whereKey($act->id)->update([
                'who' => $act->who === $name ? self::SOMEBODY : $act->who,
                'what' => mb_substr(preg_replace($named, self::SOMEBODY, $act->what) ?? $act->what, 0, 1000),
            ]);
        }
    }
}
