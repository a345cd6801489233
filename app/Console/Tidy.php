<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Checks\ThinOut;
use App\Actions\Productions\ForgetProduction;
use App\Models\Invitation;
use App\Models\Production;
use Illuminate\Console\Command;
use PlainLedger\Core\Text\Text;

/** Lets go of what nobody needs any more: by the rules of each production, and of what was deleted long enough ago. */
final class Tidy extends Command
{
    protected $signature = 'ledger:tidy';

    protected $description = 'Forgets productions deleted long enough ago, and thins out old checks by the rules set';

    /** Days for which a link that was used or is over stands in lists. */
    private const LINKS = 30;

    public function handle(ForgetProduction $forget, ThinOut $thinOut): int
    {
        $productions = $forget->overdue();
        $checks = 0;
        foreach (Production::query()->whereNotNull('retention')->whereNull('archived_at')->get() as $production) {
            $checks += $thinOut->run($production);
        }
        $links = Invitation::query()->where('expires_at', '<', now()->subDays(self::LINKS))->delete();
        $this->line('Gone: '.Text::count($productions, 'production').', '.Text::count($checks, 'check').', '
            .Text::count((int) $links, 'link').'.');

        return self::SUCCESS;
    }
}
