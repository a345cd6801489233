<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use PlainLedger\Core\Specification\SetBy;

/** The layer that a change is made in: the house's, a specification's, or a deliverable's own. */
final class ChangedLayer
{
    /** @var array<string, mixed>|null the layer as it was read last */
    private ?array $read = null;

    private function __construct(
        public readonly SetBy $layer,
        private readonly Production|Specification|Deliverable $model,
    ) {}

    public static function house(Production $production): self
    {
        return new self(SetBy::House, $production);
    }

    public static function specification(Specification $specification): self
    {
        return new self(SetBy::Specification, $specification);
    }

    public static function deliverable(Deliverable $deliverable): self
    {
        return new self(SetBy::Deliverable, $deliverable);
    }

    /** @return array<string, self> */
    public static function byLayer(Deliverable $deliverable): array
    {
        return [
            'house' => self::house($deliverable->production),
            'specification' => self::specification($deliverable->specification),
            'deliverable' => self::deliverable($deliverable),
        ];
    }

    /** @return array{production_id: int, specification_id: int|null, deliverable_id: int|null} */
    public function ids(): array
    {
        return [
            'production_id' => $this->model instanceof Production ? $this->model->id : $this->model->production_id,
            'specification_id' => $this->model instanceof Specification ? $this->model->id : null,
            'deliverable_id' => $this->model instanceof Deliverable ? $this->model->id : null,
        ];
    }

    /** Reads the layer anew, so that within a transaction nothing is decided by what stood there before it. */
    public function reload(): void
    {
        if ($this->model instanceof Specification) {
            $this->model->unsetRelation('latest');
        } else {
            // what it is related to stays as it was loaded
            $this->model->setRawAttributes(
                $this->model->newQuery()->whereKey($this->model->getKey())->firstOrFail()->getAttributes(),
                true,
            );
        }
        $this->read = null;
    }

    /** What stands at a place of the layer, as JSON; null where nothing does. */
    public function read(string $part, string $key): ?string
    {
        $at = $this->data();
        foreach ($this->path($part, $key) as $step) {
            if (! is_array($at) || ! array_key_exists($step, $at)) {
                return null;
            }
            $at = $at[$step];
        }

        return WrittenRequirement::json($at);
    }

    /** Writes JSON to a place of the layer, or takes away what stands there. */
    public function write(string $part, string $key, ?string $json, ?User $by): void
    {
        $data = $this->data();
        $place = &$data;
        $path = $this->path($part, $key);
        $last = array_pop($path);
        foreach ($path as $step) {
            if (! is_array($place[$step] ?? null)) {
                $place[$step] = [];
            }
            $place = &$place[$step];
        }
        if ($json === null) {
            unset($place[$last]);
        } else {
            $place[$last] = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        }
        unset($place);
        match (true) {
            $this->model instanceof Production => $this->model->update(['house' => $data]),
            $this->model instanceof Specification => $this->model->revise($data, $by),
            default => $this->model->update(['overrides' => $data['overrides'], 'values' => $data['values']]),
        };
        $this->model->unsetRelation('latest');
        $this->read = null;
    }

    /** @return array<string, mixed> */
    private function data(): array
    {
        return $this->read ??= match (true) {
            $this->model instanceof Production => $this->model->house,
            $this->model instanceof Specification => $this->model->latest->data,
            default => ['overrides' => $this->model->overrides, 'values' => $this->model->values],
        };
    }

    /** @return non-empty-list<int|string> */
    private function path(string $part, string $key): array
    {
        if (str_starts_with($key, 'values.')) {
            return ['values', substr($key, 7)];
        }
        if (str_starts_with($key, 'starting_values.')) {
            return ['starting_values', substr($key, 16)];
        }
        if ($this->layer === SetBy::Deliverable) {
            return $part === '' ? ['overrides', $key] : ['overrides', 'parts', $part, $key];
        }
        $parts = $this->data()['parts'] ?? [];
        foreach ($part !== '' && is_array($parts) ? $parts : [] as $n => $each) {
            if (is_array($each) && ($each['name'] ?? null) === $part) {
                return ['parts', $n, 'require', $key];
            }
        }

        return ['require', $key];
    }

    /**
     * Where a line of a part is to be changed: with the part where it stands there or is new among several, else with
     * what holds for all of them.
     */
    public function partFor(string $part, string $key, bool $several): string
    {
        if (! $several || $this->read($part, $key) !== null) {
            return $several ? $part : '';
        }
        if ($this->read('', $key) !== null) {
            return '';
        }

        return $part;
    }

    /** A short mark of what stands at a place, by which a change of somebody else's is noticed. */
    public function token(string $part, string $key): string
    {
        $json = $this->read($part, $key);

        return $json === null ? 'none' : substr(hash('sha256', $json), 0, 16);
    }
}
