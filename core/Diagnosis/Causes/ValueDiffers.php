<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Remedy\Fix;

/** `value-differs`: where nothing better fits, set this to that. */
final readonly class ValueDiffers
{
    /** What another format brings with it. */
    private const FOLLOWS_KIND = ['format.compression'];

    private const RENDER = ['picture.resolution', 'picture.display_aspect', 'picture.region', 'camera.name', 'passes', 'content.whole'];

    /** @param  list<string>  $open ids that nothing else explains */
    public function forEntry(Situation $situation, Entry $entry, array $open): ?Finding
    {
        $id = $entry->id();
        if (in_array($id, self::FOLLOWS_KIND, true) && in_array('format.kind', $open, true)) {
            return null;
        }
        $side = $situation->side($id);
        $found = $situation->found($id) ?? 'none';
        $label = $entry->requirement->descriptor->label;
        $touches = $id === 'format.kind' ? ['format.kind', ...self::FOLLOWS_KIND] : [$id];
        $plain = lcfirst($label);
        $fix = match (true) {
            $side === 'scene' => [Fix::set($situation->part(), $id, $plain, $found, $entry->required, "Set {$plain} to {$situation->asTyped($id)}".($found === '' || $found === 'none' ? '.' : "; it is {$found}."))],
            $id === 'time.range' => $this->beyond($situation),
            in_array($id, ['time.count', 'time.step', 'delivery.extras', 'content.whole', 'naming.pattern', 'content.uniform'], true) => [],
            in_array($id, ['picture.pixel_aspect', 'time.rate'], true) => [Fix::retag($situation->part(), $id, $plain, $found, $entry->required)],
            $this->needsRender($id, $entry, $found) => [Fix::set($situation->part(), $id, $plain, $found, $entry->required)],
            default => [Fix::encode($situation->part(), $id, $plain, $found, $entry->required)],
        };

        return new Finding('value-differs', $side, "{$label} is {$found}, and {$entry->required} is asked.", ["{$id} is {$found}"], $touches, $fix, render: $side === 'files' && $this->needsRender($id, $entry, $found));
    }

    /**
     * Frames that nobody asked for, to be set aside.
     *
     * @return list<Fix>
     */
    private function beyond(Situation $situation): array
    {
        $fixes = [];
        foreach ($situation->passes() as $pass) {
            $extra = $pass->extra();
            if (! $extra->isEmpty() && $pass->takes !== []) {
                $fixes[] = Fix::setAside($situation->part(), "{$pass->takes[0]->sequence->pattern()} {$extra}", count($extra));
            }
        }

        return $fixes;
    }

    private function needsRender(string $id, Entry $entry, string $found): bool
    {
        if ($id === 'format.channels') {
            return array_diff(Channels::parse($entry->required), Channels::parse($found)) !== [];
        }
        if ($id === 'format.bit_depth') {
            return (int) $found < (int) $entry->required;
        }

        return in_array($id, self::RENDER, true);
    }
}
