<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\About;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Event;

/**
 * A kind of row of which each change is written down.
 *
 * @template Row of Model
 */
final readonly class Recorded
{
    /**
     * @param  class-string<Row>  $class
     * @param  Closure(Row): string  $name  what one is called in a sentence
     * @param  array<string, string>  $columns  what is told when it changes, by column: as it is called
     * @param  Closure(Row): (int|null)  $production  whose it is
     */
    public function __construct(
        public string $class,
        public About $about,
        public Closure $name,
        public array $columns,
        public Closure $production,
    ) {}

    /** Begins to write down what happens to such rows. */
    public function observe(): void
    {
        $this->on('created', $this->added(...));
        $this->on('deleted', $this->removed(...));
        $this->on('updated', $this->changed(...));
    }

    /** @param  Row  $row */
    private function added(Model $row): void
    {
        $this->note($row, 'added '.($this->name)($row));
    }

    /** @param  Row  $row */
    private function removed(Model $row): void
    {
        $this->note($row, 'removed '.($this->name)($row));
    }

    /** @param  Row  $row */
    private function changed(Model $row): void
    {
        foreach ($this->columns as $column => $label) {
            if ($row->wasChanged($column)) {
                $this->note($row, $this->sentence($row, $column, $label));
            }
        }
    }

    /** @param  Closure(Row): mixed  $note */
    private function on(string $event, Closure $note): void
    {
        Event::listen("eloquent.{$event}: {$this->class}", $note);
    }

    /** @param  Row  $row */
    private function note(Model $row, string $what): void
    {
        Trail::note($this->about, $what, ($this->production)($row));
    }

    /** @param  Row  $row */
    private function sentence(Model $row, string $column, string $label): string
    {
        $name = ($this->name)($row);
        [$before, $after] = [$row->getOriginal($column), $row->getAttribute($column)];
        // a label with a stroke says how it is told both ways: given | taken back
        if (str_contains($label, '|')) {
            [$given, $taken] = explode('|', $label);

            return ($after === null || $after === false ? $taken : $given)." {$name}";
        }

        return is_array($before) || is_array($after)
            ? "changed {$label} of {$name}"
            : "changed {$label} of {$name} from ".Told::of($column, $before).' to '.Told::of($column, $after);
    }
}
