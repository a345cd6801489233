<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

/** Says once a second that the work goes on, however long one file takes. */
final class Beat
{
    private float $told = 0.0;

    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private readonly \Closure $say) {}

    public function goesOn(): void
    {
        $now = microtime(true);
        if ($now - $this->told > 1.0) {
            $this->told = $now;
            ($this->say)(['alive' => true]);
        }
    }
}
