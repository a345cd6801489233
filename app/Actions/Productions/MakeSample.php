<?php

declare(strict_types=1);

namespace App\Actions\Productions;

use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use PlainLedger\Demo\Sample;

/** A small production to look around in, which goes as it came. */
final readonly class MakeSample
{
    public function __construct(private BuildProduction $build, private ForgetProduction $forget) {}

    public function run(User $by): Production
    {
        $folder = 'sample_'.Str::lower(Str::random(8));
        $code = 'SAMPLE';
        for ($n = 2; Production::byCode($code) !== null; $n++) {
            $code = "SAMPLE_{$n}";
        }

        $made = $this->build->run(Sample::plan($code, $folder), ['coordinator' => $by], $by, static fn () => null);
        $made->forceFill(['is_sample' => true])->save();

        return $made;
    }

    /** With its folder, which was made for it. */
    public function remove(Production $sample): void
    {
        $intake = (string) config('ledger.intake');
        foreach ($sample->intakeRoots()->get() as $root) {
            $folder = Str::before($root->path, '/');
            if (preg_match('~^sample_[a-z0-9]{8}$~', $folder) === 1 && ! is_link("{$intake}/{$folder}")) {
                File::deleteDirectory("{$intake}/{$folder}");
            }
        }
        $this->forget->run($sample);
    }
}
