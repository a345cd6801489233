<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Productions\BuildProduction;
use App\Models\Notice;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use PlainLedger\Demo\Handover;
use PlainLedger\Demo\Scenario;

/** Makes the demo: people, productions, files as the stand-in renderer writes them, and a first check of each. */
final class MakeDemo extends Command
{
    protected $signature = 'ledger:demo {--only-if-empty : do nothing where there are people already}';

    protected $description = 'Makes the demo data';

    public function handle(BuildProduction $build): int
    {
        if ($this->option('only-if-empty') && User::query()->exists()) {
            return self::SUCCESS;
        }
        $people = [];
        foreach (Scenario::people() as $person) {
            $people[$person['handle']] = User::query()->create($person + ['password' => Scenario::PASSWORD]);
        }
        $people['odile']->forceFill(['is_administrator' => true])->save();
        foreach (Scenario::productions() as $plan) {
            $build->run($plan, $people, $people['odile'], fn () => $this->output->write('.'));
        }
        $this->handOver();
        // somebody was here in the meantime, and missed what came last
        Notice::query()->where('id', '<=', (int) Notice::query()->max('id') - 2)->update(['read_at' => now()]);
        $this->newLine();

        return self::SUCCESS;
    }

    /** Several shots in one tree, and what a learner has packed. */
    private function handOver(): void
    {
        $intake = (string) config('ledger.intake');
        File::deleteDirectory("{$intake}/tide_clock_deliveries");
        Handover::tree("{$intake}/tide_clock", "{$intake}/tide_clock_deliveries/friday");
        Handover::archive("{$intake}/output_practice/wren/v003", "{$intake}/output_practice/wren/wren_vane.zip");
    }
}
