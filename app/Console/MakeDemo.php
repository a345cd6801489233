<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Practice\AnswerTry;
use App\Actions\Productions\BuildProduction;
use App\Actions\Submissions\KeepSubmission;
use App\Actions\Submissions\KeepVerification;
use App\Actions\Submissions\Obstacles;
use App\Actions\Submissions\SealSlice;
use App\Actions\Submissions\SignOff;
use App\Actions\Submissions\Withdraw;
use App\Models\Deliverable;
use App\Models\Notice;
use App\Models\PracticeExercise;
use App\Models\Production;
use App\Models\Submission;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Practice\PracticeAnswer;
use PlainLedger\Demo\Handover;
use PlainLedger\Demo\Practice\Exercise;
use PlainLedger\Demo\Scenario;

/** Makes the demo: people, productions, files as the stand-in renderer writes them, and a first check of each. */
final class MakeDemo extends Command
{
    protected $signature = 'ledger:demo {--only-if-empty : do nothing where there are people already}';

    protected $description = 'Makes the demo data';

    private const EXERCISES = [1, 2, 12, 21, 29];

    public function handle(BuildProduction $build, DemoCourse $course): int
    {
        if ($this->option('only-if-empty') && User::query()->exists()) {
            return self::SUCCESS;
        }
        // what is judged, signed and marked below has been checked by then
        config(['queue.default' => 'sync']);
        $people = [];
        foreach (Scenario::people() as $person) {
            $people[$person['handle']] = User::query()->create($person + ['password' => Scenario::PASSWORD]);
        }
        $people['odile']->forceFill(['is_administrator' => true])->save();
        foreach (Scenario::productions() as $plan) {
            $build->run($plan, $people, $people['odile'], fn () => $this->output->write('.'));
        }
        $this->handOver();
        $this->signOff($people['odile']);
        $this->practise($people['corvin'], $people['wren']);
        $course->run(Production::query()->where('kind', 'course')->firstOrFail(), $people['corvin']);
        // somebody was here in the meantime, and missed what came last
        Notice::query()->where('id', '<=', (int) Notice::query()->max('id') - 2)->update(['read_at' => now()]);
        $this->newLine();

        return self::SUCCESS;
    }

    /** A shot that was handed over, and one whose first sign-off was taken back. */
    private function signOff(User $by): void
    {
        $balanced = Deliverable::query()->whereHas('production', static fn ($p) => $p->where('code', 'TC'))
            ->orderByDesc('code')->get()
            ->filter(static fn (Deliverable $d): bool => Obstacles::checkOf($d)?->verdict === Verdict::Balanced)
            ->take(2)->values();
        foreach ($balanced as $at => $deliverable) {
            $this->sign($deliverable, $by, 'All agreed with the client on Thursday.');
            if ($at === 0) {
                $first = Submission::query()->where('deliverable_id', $deliverable->id)->firstOrFail();
                app(Withdraw::class)->run($first, 'The client asked for another slate.', $by);
                $this->sign($deliverable, $by, 'With the new slate.');
            }
        }
    }

    private function sign(Deliverable $deliverable, User $by, string $note): void
    {
        $check = Obstacles::checkOf($deliverable->loadAsked());
        $answers = [];
        foreach (Obstacles::of($deliverable, $check) as $obstacle) {
            if ($obstacle->line !== null) {
                $answers[$obstacle->line->key()] = 'Looked at by eye, beside the cut.';
            }
        }
        $algorithms = [SumAlgorithm::Sha256, SumAlgorithm::Xxh64];
        $submission = app(SignOff::class)->run($deliverable, (int) $check?->id, $note, $answers, $algorithms, $by);
        // a demo does not wait for the queue
        (new SealSlice($submission->id))->handle(app(KeepSubmission::class), app(KeepVerification::class));
    }

    /** Five exercises of the course, the first of them answered by a learner. */
    private function practise(User $instructor, User $learner): void
    {
        $course = Production::query()->where('kind', 'course')->firstOrFail();
        foreach (self::EXERCISES as $number) {
            $ready = Exercise::find($number) ?? throw new \LogicException("There is no exercise {$number}.");
            PracticeExercise::query()->create([
                'production_id' => $course->id, 'user_id' => $instructor->id, 'title' => $ready->title,
                'mistakes' => array_column($ready->blunders, 'value'),
            ]);
        }
        $first = PracticeExercise::query()->orderBy('id')->firstOrFail();
        $try = $first->tries()->create(['user_id' => $learner->id, 'word' => 'wren']);
        app(AnswerTry::class)->run($try, new PracticeAnswer(false, ['picture.resolution'], ['smaller-preset'], []));
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
