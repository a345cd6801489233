<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Models\Assignment;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\Role;
use App\Models\User;
use Tests\Core\Support\Workbench;

/** The small production as a course: two learners with the same assignment, the one with good files. */
abstract class CourseTestCase extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->withSideTables();
        $this->production->update(['kind' => 'course', 'house' => ['require' => []], 'time_zone' => 'Europe/Berlin']);
        $this->production->memberships()->where('role', Role::Artist)->update(['role' => Role::Learner]);
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1010', Workbench::png());
        $this->intake->frames('tide/TC_020/v1/TC_020.%04d.png', '1001-1004', Workbench::png(32, 18));
    }

    /** @return string the address of the assignment */
    protected function assignment(string $more = ''): string
    {
        return "/specifications/{$this->deliverable->specification_id}{$more}";
    }

    /** @param  array<string, mixed>  $rules */
    protected function judged(array $rules, ?string $due = null, bool $anonymous = false): Assignment
    {
        $this->actingAs($this->coordinator)->patch($this->assignment('/assignment'), [
            'rules' => $rules + ['needed' => 'files'], 'due' => $due, 'anonymous' => $anonymous,
        ])->assertSessionHasNoErrors();

        return Assignment::query()->firstOrFail();
    }

    protected function check(Deliverable $deliverable, User $by): Check
    {
        $this->actingAs($by)->post(
            "/deliverables/{$deliverable->id}/checks",
            ['root' => $this->root(), 'below' => "{$deliverable->code}/v1", 'depth' => 'quick'],
        )->assertSessionHasNoErrors();

        return Check::query()->latest('id')->firstOrFail();
    }

    /** Checked and handed in; null where that was refused. */
    protected function handIn(Deliverable $deliverable, User $by): ?HandIn
    {
        $before = HandIn::query()->count();
        $check = $this->check($deliverable, $by);
        $this->actingAs($by)->post("/deliverables/{$deliverable->id}/hand-in", ['check' => $check->id]);

        return HandIn::query()->count() === $before ? null : HandIn::query()->latest('id')->firstOrFail();
    }

    /** @return array<string, mixed> */
    protected function learnersPage(): array
    {
        return $this->actingAs($this->artist)->page("/deliverables/{$this->deliverable->id}/hand-in");
    }

    /** @return array<string, mixed> */
    protected function board(): array
    {
        return $this->actingAs($this->coordinator)->page($this->assignment('/assignment'));
    }
}
