<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Actions\Changes\ChangedLayer;
use App\Models\Deliverable;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Text\PlainSentence;

/** What each layer says of a line, and the marks by which another’s change is noticed. */
final readonly class AskedByLayer
{
    /** @var list<Layer> */
    private array $layers;

    /** @var array<string, ChangedLayer> */
    private array $targets;

    /** @param  bool  $several  whether there is more than one part */
    public function __construct(Deliverable $deliverable, private bool $several)
    {
        $this->layers = $deliverable->layers($deliverable->specification->latest);
        $this->targets = ChangedLayer::byLayer($deliverable);
    }

    /** @return array<string, string|null> by layer; null where it asks nothing of it on purpose */
    public function said(Descriptor $descriptor, string $part): array
    {
        $said = [];
        foreach ($this->layers as $layer) {
            $own = self::own($layer, $part, $descriptor->id);
            if ($own !== false) {
                $said[$layer->setBy->value] = self::text($descriptor, $own);
            }
        }

        return $said;
    }

    /** @return array<string, string> by layer */
    public function tokens(Descriptor $descriptor, string $part): array
    {
        return array_map(
            fn (ChangedLayer $t): string => $t->token(
                $t->partFor($part, $descriptor->id, $this->several),
                $descriptor->id,
            ),
            $this->targets,
        );
    }

    private static function own(Layer $layer, string $part, string $id): mixed
    {
        foreach (is_array($layer->data['parts'] ?? null) ? $layer->data['parts'] : [] as $each) {
            if (
                is_array($each)
                && ($each['name'] ?? null) === $part
                && is_array($each['require'] ?? null)
                && array_key_exists($id, $each['require'])
            ) {
                return $each['require'][$id];
            }
        }
        $require = $layer->data['require'] ?? null;

        return is_array($require) && array_key_exists($id, $require) ? $require[$id] : false;
    }

    private static function text(Descriptor $descriptor, mixed $json): ?string
    {
        try {
            return $json === null ? null : Requirement::read($descriptor, $json, SetBy::Specification, 'Here')->typed();
        } catch (PlainSentence $refused) {
            return $refused->getMessage();
        }
    }
}
