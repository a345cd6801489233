<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use PlainLedger\Core\Course\Feedback;

/** Feedback of one attempt, as a page has it. */
final readonly class FeedbackShown
{
    /** @var list<array{name: string, value: string}> whose, of what, when */
    public array $about;

    /**
     * @var list<array{label: string, earned: string, of: string, open: string, bad: list<string>,
     *   untold: list<string>}>
     */
    public array $lines;

    /** @var list<array{label: string, points: string}> what is added to them, and taken off */
    public array $sums;

    /** Null where those who mark do not agree yet. */
    public ?string $total;

    public string $possible;

    /** @var list<array{says: string, next: string}> */
    public array $causes;

    /** @var list<array{by: string, text: string}> */
    public array $remarks;

    public function __construct(Feedback $feedback)
    {
        $about = [];
        foreach ($feedback->about as $name => $value) {
            if ($value !== '') {
                $about[] = ['name' => $name, 'value' => $value];
            }
        }
        $this->about = $about;
        $this->lines = $feedback->lines;
        $this->sums = $feedback->sums;
        $this->total = $feedback->total;
        $this->possible = $feedback->possible;
        $this->causes = $feedback->causes;
        $this->remarks = $feedback->remarks;
    }
}
