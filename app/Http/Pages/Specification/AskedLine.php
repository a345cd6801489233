<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Pages\ByKey;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;

/** A requirement as it stands, what each layer says of it, and the marks by which another’s change is noticed. */
final readonly class AskedLine
{
    /** @var RequirementKey */
    public string $id;

    public string $label;

    public Group $group;

    public string $value;

    public Level $level;

    public ?string $why;

    public SetBy $setBy;

    public string $sentence;

    public string $example;

    /** @var list<string> */
    public array $words;

    /** @var ByKey<string|null> */
    public ByKey $layers;

    /** @var ByKey<string> */
    public ByKey $tokens;

    /**
     * @param  array<string, string|null>  $layers
     * @param  array<string, string>  $tokens
     */
    public function __construct(Requirement $requirement, array $layers, array $tokens)
    {
        $this->id = $requirement->id();
        $this->label = $requirement->descriptor->label;
        $this->group = $requirement->descriptor->group;
        $this->value = $requirement->typed();
        $this->level = $requirement->level;
        $this->why = $requirement->why;
        $this->setBy = $requirement->setBy;
        $this->sentence = $requirement->sentence();
        $this->example = $requirement->descriptor->accepts->example;
        $this->words = $requirement->descriptor->accepts->words;
        $this->layers = new ByKey($layers);
        $this->tokens = new ByKey($tokens);
    }
}
