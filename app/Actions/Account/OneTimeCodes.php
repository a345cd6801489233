<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\User;
use App\Security\OneTimeCode;
use App\Security\SecurityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** One-time codes of one account: begun, asked for, used once; and codes for the day the telephone is lost. */
final readonly class OneTimeCodes
{
    private const RECOVERY = 10;

    /** Letters that are not taken for others. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    /**
     * From now on they are asked for.
     *
     * @return list<string>|null codes for recovery, told this once; null where the code is none
     */
    public function begin(User $user, string $secret, string $typed): ?array
    {
        $step = (new OneTimeCode($secret))->stepOf($typed, now()->getTimestamp());
        if ($step === null) {
            return null;
        }
        $codes = array_map(self::newCode(...), range(1, self::RECOVERY));
        $user->forceFill([
            'code_secret' => $secret, 'codes_since' => now(), 'code_step' => $step,
            'recovery_codes' => array_map(static fn (string $c): string => Hash::make($c), $codes),
        ])->save();
        SecurityLog::note('one-time codes begun', ['account' => $user->id]);

        return $codes;
    }

    public function end(User $user): void
    {
        $user->forceFill(
            ['code_secret' => null, 'codes_since' => null, 'code_step' => null, 'recovery_codes' => null],
        )->save();
        SecurityLog::note('one-time codes ended', ['account' => $user->id]);
    }

    /** Whether what was typed is a code that holds; it holds no more then, also for whoever types it as fast. */
    public function use(User $user, string $typed): bool
    {
        return DB::transaction(function () use ($user, $typed): bool {
            $now = User::query()->lockForUpdate()->findOrFail($user->id);
            $step = (new OneTimeCode((string) $now->code_secret))
                ->stepOf($typed, now()->getTimestamp(), $now->code_step);
            if ($step !== null) {
                return $now->forceFill(['code_step' => $step])->save();
            }
            $code = strtolower((string) preg_replace('~[^A-Za-z0-9]+~', '', $typed));
            foreach ($now->recovery_codes ?? [] as $n => $hash) {
                if (strlen($code) === 10 && Hash::check($code, $hash)) {
                    $left = $now->recovery_codes ?? [];
                    unset($left[$n]);
                    SecurityLog::note('recovery code used', ['account' => $user->id, 'left' => count($left)]);

                    return $now->forceFill(['recovery_codes' => array_values($left)])->save();
                }
            }

            return false;
        });
    }

    private static function newCode(): string
    {
        $code = '';
        for ($n = 0; $n < 10; $n++) {
            $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }

        return $code;
    }
}
