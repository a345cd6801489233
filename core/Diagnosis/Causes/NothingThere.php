<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Remedy\Fix;
use PlainLedger\Core\Specification\Delivers;

/** `nothing-delivered`, `movie-instead-of-frames`, `frames-instead-of-movie`, `pass-missing`, `pass-not-saved`. */
final readonly class NothingThere implements CauseFamily
{
    private const ABOUT_FILES = ['time.range', 'time.count', 'time.step', 'format.kind', 'naming.pattern', 'content.whole', 'format.compression', 'passes'];

    public function find(Situation $situation): iterable
    {
        $subject = $situation->subject;
        $wantsMovie = $subject->part->delivers === Delivers::Movie;
        if ($subject->nothingDelivered()) {
            $told = array_keys(array_filter($situation->entries, static fn ($e): bool => $e->isUnequal() && ($e->files?->isUnequal() ?? false)));
            yield new Finding('nothing-delivered', 'files', "Not one file of the part “{$situation->part()}” is there.", ['no file answers it'], array_values(array_filter($told, static fn (string $id): bool => ! str_starts_with($id, 'delivery.'))), render: true);
        }
        if ($subject->match !== null && $subject->match->instead !== null) {
            $path = Text::shown($subject->match->instead['path']);
            $spoken = $subject->match->instead['kind']->spoken();
            yield $wantsMovie
                ? new Finding('frames-instead-of-movie', 'files', "Frames are there, {$path}, where a movie is asked.", ["{$path} is {$spoken}"], self::ABOUT_FILES, [Fix::encode($situation->part(), 'format.kind', 'format', $subject->match->instead['kind']->value, $subject->part->single('format.kind') ?? 'mp4')])
                : new Finding('movie-instead-of-frames', 'files', "A movie is there, {$path}, where single frames are asked.", ["{$path} is {$spoken}"], self::ABOUT_FILES, [Fix::set($situation->part(), 'format.kind', 'the format', $subject->match->instead['kind']->value, $subject->part->single('format.kind') ?? 'frames')], render: true);
        }
        $kind = Kind::tryFrom($situation->scene()?->get('format.kind') ?? '');
        if ($situation->inScene('format.kind') && ! $situation->inFiles('format.kind') && $kind !== null) {
            if (! $wantsMovie && $kind->isMovie()) {
                yield new Finding('movie-instead-of-frames', 'scene', "The scene is set to write a {$kind->spoken()} movie, where single frames are asked.", ["format.kind is {$kind->value}"], ['format.kind', 'format.compression', 'naming.pattern'], [Fix::set($situation->part(), 'format.kind', 'the format', $kind->value, $subject->part->single('format.kind') ?? '')]);
            } elseif ($wantsMovie && $kind->isPicture()) {
                yield new Finding('frames-instead-of-movie', 'scene', "The scene is set to write {$kind->spoken()} frames, where a movie is asked.", ["format.kind is {$kind->value}"], ['format.kind', 'format.compression', 'naming.pattern'], [Fix::set($situation->part(), 'format.kind', 'the format', $kind->value, $subject->part->single('format.kind') ?? '')]);
            }
        }
        yield from $this->passes($situation);
    }

    /** @return iterable<Finding> */
    private function passes(Situation $situation): iterable
    {
        $empty = [];
        $all = $situation->passes();
        foreach ($all as $pass) {
            if ($pass->isEmpty() && $pass->pass !== null) {
                $empty[] = $pass->pass;
            }
        }
        if ($empty !== [] && count($empty) < count($all)) {
            yield new Finding('pass-missing', 'files', Text::series($empty).' '.(count($empty) === 1 ? 'is' : 'are').' not there at all, and the other passes are.', ['no file answers '.Text::series($empty, 'or')], ['passes', 'time.range', 'time.count'], render: true);
        }
        if ($situation->inFiles('passes') && count($all) === 1 && $all[0]->pass === null) {
            $found = explode(' | ', $situation->found('passes') ?? '');
            $missing = array_values(array_diff($situation->entry('passes')->requirement->ask->values ?? [], $found));
            yield new Finding('pass-missing', 'files', 'The files have no layer for '.Text::series($missing).'.', ['layers found: '.implode(', ', $found)], ['passes'], render: true);
        }
        if ($situation->inScene('passes') && ! $situation->inFiles('passes')) {
            $off = array_map(static fn (array $p): string => $p['name'], array_filter($situation->scene()->passes ?? [], static fn (array $p): bool => $p['saved'] === false));
            if ($off !== []) {
                yield new Finding('pass-not-saved', 'scene', Text::series(array_values($off)).' '.(count($off) === 1 ? 'is' : 'are').' listed in the scene and not switched on to be saved.', ['not saved: '.implode(', ', $off)], ['passes'], [Fix::set($situation->part(), 'passes', 'saving of '.Text::series(array_values($off)), 'off', 'on')]);
            } else {
                $has = array_map(static fn (array $p): string => strtolower($p['name']), $situation->scene()->passes ?? []);
                $missing = array_values(array_filter($situation->entry('passes')->requirement->ask->values ?? [], static fn (string $p): bool => ! in_array(strtolower($p), $has, true)));
                yield new Finding('pass-missing', 'scene', 'The scene has no pass '.Text::series($missing, 'or').'.', ['passes: '.($has === [] ? 'none' : implode(', ', $has))], ['passes'], [Fix::set($situation->part(), 'passes', 'the passes', implode(' | ', $has), implode(' | ', $missing))]);
            }
        }
    }
}
