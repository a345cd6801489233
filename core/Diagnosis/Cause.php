<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** What most likely went wrong, and the entries it explains. */
final readonly class Cause
{
    /**
     * @param  list<string>  $explains  ids of the part's unequal entries
     * @param  string|null  $pass  where it concerns what is asked of one pass alone
     * @param  list<string>  $or  causes between which the facts do not decide
     */
    public function __construct(public Finding $finding, public string $part, public array $explains, public array $or, public ?string $pass = null) {}
}
