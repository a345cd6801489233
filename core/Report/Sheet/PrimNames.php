<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

/** Identifiers for prims: letters, digits and underscores, no digit first, no two alike below one parent. */
final class PrimNames
{
    /** @var array<string, true> */
    private array $taken = ['/Vars' => true];

    public function unique(string $parent, string $name): string
    {
        $plain = (string) preg_replace('~[^A-Za-z0-9_]~', '_', $name);
        $plain = $plain === '' || ctype_digit($plain[0]) ? "_{$plain}" : $plain;
        $own = $plain;
        for ($n = 2; isset($this->taken["{$parent}/{$own}"]) || $own === 'Vars'; $n++) {
            $own = "{$plain}_{$n}";
        }
        $this->taken["{$parent}/{$own}"] = true;

        return $own;
    }
}
