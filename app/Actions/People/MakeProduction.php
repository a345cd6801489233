<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** A production with an intake of its own. */
final readonly class MakeProduction
{
    public const KINDS = ['film', 'series', 'commission', 'course'];

    public function __construct(private GiveRole $giveRole) {}

    /**
     * @param  User|null  $by  who decides in it
     * @param  array<string, mixed>  $house  requirements
     * @param  string|null  $zone  in which its times are told
     */
    public function run(
        string $code,
        string $name,
        string $kind,
        ?User $by,
        array $house = [],
        ?string $zone = null,
    ): Production {
        return DB::transaction(function () use ($code, $name, $kind, $by, $house, $zone): Production {
            $production = Production::query()->create([
                'code' => $code, 'name' => $name === '' ? $code : $name, 'kind' => $kind,
                'house' => ['require' => (object) $house], 'time_zone' => $zone,
            ]);
            $path = Str::slug($code, '_').'/'.($kind === 'course' ? '{learner}' : '{shot}');
            $production->intakeRoots()->create(['label' => 'Intake', 'path' => $path]);
            File::ensureDirectoryExists((string) config('ledger.intake').'/'.dirname($path));
            if ($by !== null) {
                $this->giveRole->run($production, $by, $kind === 'course' ? Role::Instructor : Role::Coordinator);
            }

            return $production;
        });
    }
}
