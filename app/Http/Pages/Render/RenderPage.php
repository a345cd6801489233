<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\Check\IntakePlace;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;
use App\Rendering\RenderWork;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** How far a render is, and when it will be ready. */
final readonly class RenderPage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{specify: bool} */
    public array $may;

    public ?string $frames;

    public int $count;

    /** @var array{times: string, size: string} */
    public array $typed;

    /** What the times of frames were taken from. */
    public ?string $from;

    /** What one picture takes before it is compressed, as far as what is asked tells it. */
    public ?string $uncompressed;

    public Pool $pool;

    public ?Plan $plan;

    public ?LogShown $log;

    /** @var list<string> */
    public array $shapes;

    /** @var list<IntakePlace> */
    public array $roots;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $overseer = $reader->can('specify', $deliverable);
        $production = $deliverable->production;
        $log = RenderWork::newestLog($deliverable);
        $frames = RenderWork::frames($deliverable);
        $job = RenderWork::job($deliverable);
        $plan = $job === null ? null : RenderPlan::of(RenderWork::pool($production), [$job]);
        $this->book = new Book($production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['specify' => $overseer];
        $this->frames = $frames === null ? null : (string) $frames;
        $this->count = $frames === null ? 0 : count($frames);
        $this->typed = ['times' => $deliverable->frame_times ?? '', 'size' => $deliverable->frame_size ?? ''];
        $this->from = RenderWork::times($deliverable)[1] ?? null;
        $this->uncompressed = RenderWork::uncompressedFrame($deliverable);
        $this->pool = new Pool($production);
        $this->plan = $plan === null ? null : new Plan($plan);
        $this->log = $log === null ? null : new LogShown($log);
        $this->shapes = array_map(static fn (LogShape $s): string => $s->name, $production->logShapes());
        $this->roots = IntakePlace::all($deliverable, $overseer);
    }
}
