<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Many checks once more, by what is asked now: the first few at once, the others by the queue. */
final readonly class RepeatChecks
{
    private const AT_ONCE = 20;

    public function __construct(private RepeatCheck $repeat) {}

    /**
     * @param  list<Check>  $checks
     * @return string what was done, in a sentence
     */
    public function run(array $checks, User $by): string
    {
        [$done, $reading, $refused] = [0, 0, []];
        foreach (array_slice($checks, 0, self::AT_ONCE) as $check) {
            try {
                $repeated = $this->repeat->run(Check::query()->findOrFail($check->id), $by);
                $repeated->isUnderWay() ? $reading++ : $done++;
            } catch (PlainSentence $why) {
                $refused[$why->getMessage()] = ($refused[$why->getMessage()] ?? 0) + 1;
            }
        }
        $later = array_slice($checks, self::AT_ONCE);
        foreach ($later as $check) {
            CheckAgain::dispatch($check->deliverable_id, $by->id);
        }

        return self::told($done, $reading, count($later), $refused);
    }

    /** @param  array<string, int>  $refused  how many, by why */
    private static function told(int $done, int $reading, int $later, array $refused): string
    {
        $told = array_filter([
            $done === 0 ? '' : Text::count($done, 'deliverable was', 'deliverables were')
                .' checked again, from the files as they were last read.',
            $reading === 0 ? '' : Text::count($reading, 'is', 'are')
                .' being looked at, for what nobody has looked for yet.',
            $later === 0 ? '' : Text::count($later, 'more is', 'more are').' checked one after another.',
        ]);
        foreach ($refused as $why => $many) {
            $told[] = Text::count($many, 'was', 'were')." not: {$why}";
        }

        return $told === [] ? 'Every check is of what is asked now.' : implode(' ', $told);
    }
}
