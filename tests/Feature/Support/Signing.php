<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Models\Check;
use App\Models\Submission;
use Tests\Core\Support\Workbench;

/** Ten frames in an intake, checked and signed off. */
trait Signing
{
    private function withTenFrames(): void
    {
        $this->withSideTables();
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1010', Workbench::png());
        // no picture tells its rate
        $this->production->update(['house' => ['require' => []]]);
    }

    private function check(): Check
    {
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        )->assertSessionHasNoErrors();
        $this->actingAs($this->coordinator);

        return Check::query()->latest('id')->firstOrFail();
    }

    /** @param  array<string, mixed>  $more */
    private function sign(Check $check, array $more = []): ?Submission
    {
        $this->actingAs($this->coordinator)
            ->post("/deliverables/{$this->deliverable->id}/submission", ['check' => $check->id] + $more)
            ->assertRedirect();

        return Submission::query()->latest('id')->first();
    }

    /** @return array<string, mixed> */
    private function shown(): array
    {
        return $this->page("/deliverables/{$this->deliverable->id}/submission");
    }

    private function frame(int $number): string
    {
        return "{$this->intake->folder}/tide/TC_010/v1/TC_010.{$number}.png";
    }
}
